// Plays time: faster than it was, from wherever the slider stands.
import { useEffect, useRef, useState } from 'react';

export const speeds = [1, 5, 10, 30, 60] as const;
export type Speed = (typeof speeds)[number];

export interface Player {
  /** Milliseconds since 1970. */
  at: number;
  playing: boolean;
  speed: Speed;
  go: (to: number) => void;
  play: (on: boolean) => void;
  setSpeed: (speed: Speed) => void;
}

export function usePlayer(from: number, to: number): Player {
  const [at, setAt] = useState(from);
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState<Speed>(10);
  const now = useRef(at);
  useEffect(() => {
    now.current = at;
  }, [at]);
  useEffect(() => {
    if (!playing) return undefined;
    let last = performance.now();
    let frame = 0;
    const step = (time: number) => {
      const next = Math.min(to, now.current + Math.max(0, time - last) * speed);
      last = time;
      now.current = next;
      setAt(next);
      if (next >= to) setPlaying(false);
      else frame = requestAnimationFrame(step);
    };
    frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  }, [playing, speed, to]);
  const go = (moment: number) => setAt(Math.min(to, Math.max(from, moment)));
  return {
    at,
    playing,
    speed,
    go,
    play: (on) => {
      if (on && at >= to) go(from);
      setPlaying(on);
    },
    setSpeed,
  };
}
