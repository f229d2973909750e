import { useDeferredValue, type ReactNode } from 'react';
import { useHydrating } from './useHydrating';

/** Renders its children in the background the first time, so that a large view does not block the page. */
export function Gently({ children }: { children: ReactNode }) {
  const isThereAlready = useHydrating();
  return useDeferredValue(true, isThereAlready) && children;
}
