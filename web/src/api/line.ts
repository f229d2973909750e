import { useSyncExternalStore } from 'react';

/** `slow`: an answer has been waited for longer than a person would. `down`: there was none. */
export type Line = 'good' | 'slow' | 'down';

const patience = 2_500;

/** Where the server renders a page there is no line. */
const inBrowser = typeof window !== 'undefined';
let state: Line = !inBrowser || navigator.onLine ? 'good' : 'down';
const listeners = new Set<() => void>();

function turn(to: Line): void {
  if (state === to) return;
  state = to;
  for (const tell of listeners) tell();
}

if (inBrowser) window.addEventListener('offline', () => turn('down'));

/** Follows one request; what is returned is told whether there was an answer. */
export function followed(): (answered: boolean) => void {
  const late = setTimeout(() => {
    if (state === 'good') turn('slow');
  }, patience);
  return (answered) => {
    clearTimeout(late);
    turn(answered ? 'good' : 'down');
  };
}

/** Whether the last request had no answer. */
export const isDown = (): boolean => state === 'down';

/** How the line to the server is, as far as the last requests say. */
export function useLine(): Line {
  return useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => state,
    () => 'good' as const,
  );
}
