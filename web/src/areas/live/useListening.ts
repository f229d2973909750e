import { useCallback, useEffect, useRef, useState } from 'react';
import { useMessages } from '../../ui/page/messages';

/** Hears one room at a time, in one stream, whatever the number of rooms: a press on another moves the ear there. */
export function useListening() {
  const { fail } = useMessages();
  const [room, setRoom] = useState<string | null>(null);
  const context = useRef<AudioContext | null>(null);
  const playing = useRef<AudioBufferSourceNode | null>(null);

  const listen = useCallback((to: string | null) => {
    // Browsers let a page sound only from a press: the one context is made here.
    context.current ??= new AudioContext();
    void context.current.resume();
    setRoom((before) => (before === to ? null : to));
  }, []);

  useEffect(() => {
    const audio = context.current;
    if (room === null || audio === null) return;
    const gone = new AbortController();
    const stop = () => {
      playing.current?.stop();
      playing.current = null;
    };
    const next = async (): Promise<void> => {
      const answer = await fetch(`/api/staff/rooms/${room}/sound`, { signal: gone.signal });
      if (!answer.ok) throw new Error(String(answer.status));
      const buffer = await audio.decodeAudioData(await answer.arrayBuffer());
      if (gone.signal.aborted) return;
      stop();
      const source = audio.createBufferSource();
      source.buffer = buffer;
      source.loop = true; // until the next piece has come
      source.connect(audio.destination);
      source.start();
      playing.current = source;
    };
    const hear = () =>
      next().catch((problem: unknown) => {
        if (gone.signal.aborted) return;
        fail(problem);
        setRoom(null);
      });
    void hear();
    const timer = setInterval(() => void hear(), 2_000);
    return () => {
      gone.abort();
      clearInterval(timer);
      stop();
    };
  }, [room, fail]);

  return { room, listen };
}
