import { startTransition, useEffect, useState } from 'react';
import { hand } from './hand';
import { untilThere } from './lazily';

/** Parts that come after the page can be read: until they are there, what needs them is shown in a simpler form. */
export class Later<T> {
  private parts: T | null = null;
  private coming: Promise<T> | null = null;

  /** @param ask how they are loaded; asked again until they are there */
  constructor(private readonly ask: () => Promise<T>) {}

  /** @returns the parts, when they have come; asking again changes nothing */
  readonly load = (): Promise<T> => {
    this.coming ??= untilThere(this.ask).then((parts) => {
      this.parts = parts;
      return parts;
    });
    return this.coming;
  };

  readonly now = (): T | null => this.parts;
}

/**
 * @param isAsked somebody waits for them; otherwise they are put in place when somebody begins to use the page
 * @returns the parts, or null while they come; they are asked for when something that needs them has been shown. The page is
 *   drawn anew with them piece by piece, so that it goes on answering meanwhile.
 */
export function useLater<T>(later: Later<T>, isAsked = false): T | null {
  const [parts, setParts] = useState<{ now: T | null }>({ now: later.now() });
  useEffect(() => {
    if (parts.now !== null) return undefined;
    let gone = false;
    void Promise.all([later.load(), isAsked ? null : hand]).then(([now]) => {
      if (!gone) startTransition(() => setParts({ now }));
    });
    return () => {
      gone = true;
    };
  }, [later, parts, isAsked]);
  return parts.now;
}
