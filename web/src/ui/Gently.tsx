import { useDeferredValue, type ReactNode } from 'react';

/** Renders its children in the background the first time, so that a large view does not block the page. */
export function Gently({ children }: { children: ReactNode }) {
  return useDeferredValue(true, false) && children;
}
