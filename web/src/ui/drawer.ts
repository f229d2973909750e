/** Keeps one text on the device. */
export interface Drawer {
  load: () => string | null;
  save: (value: string) => void;
  clear: () => void;
}

const quietly = <T>(act: () => T, otherwise: T): T => {
  try {
    return act();
  } catch {
    return otherwise;
  }
};

/** What drawers with this beginning there are. */
export const keys = (beginning: string): string[] =>
  quietly(() => Object.keys(localStorage).filter((key) => key.startsWith(beginning)), []);

/** A drawer of this browser for what is not saved yet. A browser that keeps nothing still sends as it is typed. */
export function drawer(key: string): Drawer {
  return {
    load: () => quietly(() => localStorage.getItem(key), null),
    save: (value) => quietly(() => localStorage.setItem(key, value), undefined),
    clear: () => quietly(() => localStorage.removeItem(key), undefined),
  };
}
