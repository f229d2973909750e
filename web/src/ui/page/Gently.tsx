import { useDeferredValue, type ReactNode } from 'react';
import { useHydrated } from '../later/useHydrated';

/** Renders its children in the background the first time, so that a large view does not block the page. */
export function Gently({ children }: { children: ReactNode }) {
  const isThereAlready = useHydrated();
  return useDeferredValue(true, isThereAlready) && children;
}
