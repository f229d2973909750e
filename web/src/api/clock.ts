// The server’s clock, as this device knows it.
import { useEffect, useReducer, useRef, useState } from 'react';

let ahead = 0;
/** Until React has taken over a page that the server has rendered: the moment it was rendered for. */
let renderedAt: number | null = null;

/**
 * Sets the page's clock by the server's.
 *
 * @param at when the answer came, by this device's clock
 */
export function setServerNow(serverNow: number, at = Date.now()): void {
  ahead = serverNow - at;
}

/**
 * Sets the page's clock by the moment for which the server renders a page, and keeps it there until React has taken
 * the page over.
 *
 * @param at when the page came, by this device's clock
 */
export function setRenderedAt(moment: number, at?: number): void {
  setServerNow(moment, at);
  renderedAt = moment;
}

/** React has taken the page over. */
export function letTimePass(): void {
  renderedAt = null;
}

/** Whether React is taking over what the server has rendered: what stands in the page need not be made again. */
export const isTakingOver = (): boolean => renderedAt !== null && typeof window !== 'undefined';

/** Both come to the same view: what has passed meanwhile is shown with the next look at the clock. */
const firstNow = (): number => renderedAt ?? serverNow();

/** The server's time in milliseconds since 1970, as well as we know it. */
export function serverNow(): number {
  return Date.now() + ahead;
}

/** The server's time, anew so often that a clock on the page never skips a second. */
export function useServerNow(every = 250): number {
  const [now, setNow] = useState(firstNow);
  useEffect(() => {
    const timer = setInterval(() => setNow(serverNow()), every);
    return () => clearInterval(timer);
  }, [every]);
  return now;
}

/** What follows from the time, looked at so often; the page is drawn anew only when it has changed. */
export function useByTime<T extends string | number | boolean>(of: (now: number) => T, every = 500): T {
  const [, look] = useReducer((looks: number) => looks + 1, 0);
  const value = of(firstNow());
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
