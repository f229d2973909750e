import { startTransition, useEffect, useState } from 'react';
import { firstInteraction } from './firstInteraction';
import { untilThere } from './lazily';

/** Code that is loaded after the first view. Until it is there, components that need it show a simpler form. */
export class Later<T> {
  private parts: T | null = null;
  private coming: Promise<T> | null = null;

  /** @param ask loads the code; called again after a failure */
  constructor(private readonly ask: () => Promise<T>) {}

  /** Loads the code once, however often it is called. */
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
 * Loads the code once a component that needs it is shown. It is rendered in a transition, so the page stays responsive.
 *
 * @param isAsked true: use it as soon as it is loaded; false: not before the first interaction
 * @returns the code, or null until it can be used
 */
export function useLater<T>(later: Later<T>, isAsked = false): T | null {
  const [parts, setParts] = useState<{ now: T | null }>({ now: later.now() });
  useEffect(() => {
    if (parts.now !== null) return undefined;
    let gone = false;
    void Promise.all([later.load(), isAsked ? null : firstInteraction]).then(([now]) => {
      if (!gone) startTransition(() => setParts({ now }));
    });
    return () => {
      gone = true;
    };
  }, [later, parts, isAsked]);
  return parts.now;
}
