// Code that is loaded after the first view.
import { startTransition, useEffect, useState } from 'react';
import { betweenPresses } from './betweenPresses';
import { firstInteraction } from './firstInteraction';
import { untilThere } from './lazily';

const longestWait = 1_000;

/** Resolves when the browser has nothing else to do, and not much later where it always has. */
const quiet = () =>
  new Promise<void>((resolve) => {
    if (typeof requestIdleCallback === 'function') requestIdleCallback(() => resolve(), { timeout: longestWait });
    else setTimeout(resolve, longestWait / 2);
  });

/** Code that is loaded after the first view. Until it is there, components that need it show a simpler form. */
export class Later<T> {
  private parts: T | null = null;
  private coming: Promise<T> | null = null;
  private used: Promise<T> | null = null;

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

  /** Loads it when the browser is idle, or somebody uses the page. @returns it once somebody does */
  readonly forUse = (): Promise<T> => {
    this.used ??= Promise.all([Promise.race([quiet(), firstInteraction]).then(this.load), firstInteraction]).then(
      ([parts]) => parts,
    );
    return this.used;
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
    void (isAsked ? later.load() : later.forUse()).then(async (now) => {
      await betweenPresses();
      if (!gone) startTransition(() => setParts({ now }));
    });
    return () => {
      gone = true;
    };
  }, [later, parts, isAsked]);
  return parts.now;
}
