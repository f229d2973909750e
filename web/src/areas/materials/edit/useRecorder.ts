import { useEffect, useRef, useState } from 'react';

/** Seconds; the server takes no more. */
const longest = 180;
/** What most devices can play, and says how long it is, comes first. */
const forms = ['audio/webm;codecs=opus', 'audio/webm', 'audio/mp4', 'audio/ogg'];

/** Only a page that came over a safe line, or from this machine, may listen. */
export const canRecord = () => typeof MediaRecorder !== 'undefined' && 'mediaDevices' in navigator;

/** Listens at the microphone until it is stopped, three minutes at most. */
export function useRecorder(onSound: (sound: Blob) => void, onTrouble: () => void) {
  const [seconds, setSeconds] = useState<number | null>(null);
  const recorder = useRef<MediaRecorder | null>(null);
  const stop = () => {
    if (recorder.current?.state === 'recording') recorder.current.stop();
  };
  useEffect(() => stop, []); // whoever goes away in the middle leaves no microphone open

  const start = async () => {
    let line: MediaStream;
    try {
      line = await navigator.mediaDevices.getUserMedia({ audio: true });
    } catch {
      onTrouble();
      return;
    }
    const form = forms.find((one) => MediaRecorder.isTypeSupported(one));
    const made = new MediaRecorder(line, {
      audioBitsPerSecond: 32_000,
      ...(form === undefined ? {} : { mimeType: form }),
    });
    const parts: Blob[] = [];
    const began = Date.now();
    const clock = window.setInterval(() => {
      const now = Math.floor((Date.now() - began) / 1_000);
      setSeconds(now);
      if (now >= longest) stop();
    }, 250);
    made.ondataavailable = (event) => parts.push(event.data);
    made.onstop = () => {
      window.clearInterval(clock);
      for (const track of line.getTracks()) track.stop();
      setSeconds(null);
      recorder.current = null;
      onSound(new Blob(parts, { type: made.mimeType }));
    };
    recorder.current = made;
    made.start();
    setSeconds(0);
  };
  return { seconds, start, stop };
}
