import { useEffect, useSyncExternalStore } from 'react';
import { untilThere } from './lazily';

/** Parts that come after the page can be read: until they are there, what needs them is shown in a simpler form. */
export class Later<T> {
  private parts: T | null = null;
  private coming: Promise<T> | null = null;
  private readonly listeners = new Set<() => void>();

  /** @param ask how they are loaded; asked again until they are there */
  constructor(private readonly ask: () => Promise<T>) {}

  /** @returns the parts, when they have come; asking again changes nothing */
  readonly load = (): Promise<T> => {
    this.coming ??= untilThere(this.ask).then((parts) => {
      this.parts = parts;
      for (const tell of this.listeners) tell();
      return parts;
    });
    return this.coming;
  };

  readonly now = (): T | null => this.parts;

  readonly subscribe = (tell: () => void): (() => void) => {
    this.listeners.add(tell);
    return () => this.listeners.delete(tell);
  };
}

/** @returns the parts, or null while they come; they are asked for when something that needs them has been shown */
export function useLater<T>(later: Later<T>): T | null {
  const parts = useSyncExternalStore(later.subscribe, later.now);
  useEffect(() => {
    if (parts === null) void later.load();
  }, [later, parts]);
  return parts;
}
