import { createContext, useContext } from 'react';

/**
 * The one stop of the floor that the Tab key reaches: 120 name tags are one stop, and arrows go from tag to tag. Null:
 * every stop is reached.
 */
export const RovingContext = createContext<string | null>(null);

export function useStop(stop: string): { 'data-stop': string; tabIndex: 0 | -1 } {
  const at = useContext(RovingContext);
  return { 'data-stop': stop, tabIndex: at === null || at === stop ? 0 : -1 };
}
