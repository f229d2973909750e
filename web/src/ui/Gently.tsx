import { useDeferredValue, type ReactNode } from 'react';

/** Drawn for the first time piece by piece, so that the page answers meanwhile: for what is large. */
export function Gently({ children }: { children: ReactNode }) {
  return useDeferredValue(true, false) && children;
}
