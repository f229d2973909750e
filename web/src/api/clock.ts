import { useEffect, useReducer, useRef, useState } from 'react';

let ahead = 0;

/** Sets the page's clock by the server's. */
export function setServerNow(serverNow: number): void {
  ahead = serverNow - Date.now();
}

/** The server's time in milliseconds since 1970, as well as we know it. */
export function serverNow(): number {
  return Date.now() + ahead;
}

/** The server's time, anew so often that a clock on the page never skips a second. */
export function useServerNow(every = 250): number {
  const [now, setNow] = useState(serverNow);
  useEffect(() => {
    const timer = setInterval(() => setNow(serverNow()), every);
    return () => clearInterval(timer);
  }, [every]);
  return now;
}

/** What follows from the time, looked at so often; the page is drawn anew only when it has changed. */
export function useByTime<T extends string | number | boolean>(of: (now: number) => T, every = 500): T {
  const [, look] = useReducer((looks: number) => looks + 1, 0);
  const value = of(serverNow());
  const shown = useRef({ of, value });
  useEffect(() => {
    shown.current = { of, value };
  });
  useEffect(() => {
    const timer = setInterval(() => {
      if (shown.current.of(serverNow()) !== shown.current.value) look();
    }, every);
    return () => clearInterval(timer);
  }, [every]);
  return value;
}

/** Whole seconds until a moment, never below 0; the second that has begun counts. */
export function secondsUntil(moment: number | null, now: number): number {
  return moment === null ? 0 : Math.max(0, Math.ceil((moment - now) / 1000));
}
