// What is half written, kept on this device.
import { useState, useSyncExternalStore } from 'react';
import { drawer } from './drawer';

const prefix = 'typed:';
const never = () => () => undefined;

/** Whoever signs out leaves nothing half written for the next at this device. */
export function forgetTyped(): void {
  for (const key of Object.keys(localStorage)) if (key.startsWith(prefix)) localStorage.removeItem(key);
}

/**
 * A text that is being typed and not sent yet: kept on this device until it has been sent, whatever becomes of the
 * page.
 *
 * @param of what the text is for; another one is another text
 * @returns the text, how to change it, and how to forget it once it has been sent
 */
export function useKept(of: string, otherwise = ''): [string, (text: string) => void, () => void] {
  const place = drawer(`${prefix}${of}`);
  // Where the server renders nothing is kept; where nothing is kept here either, taking over changes nothing.
  const stored = useSyncExternalStore(
    never,
    () => place.load() ?? otherwise,
    () => otherwise,
  );
  const [typed, setTyped] = useState<{ of: string; text: string } | null>(null);
  const text = typed?.of === of ? typed.text : stored;
  return [
    text,
    (next) => {
      setTyped({ of, text: next });
      if (next === otherwise) place.clear();
      else place.save(next);
    },
    () => {
      setTyped({ of, text: otherwise });
      place.clear();
    },
  ];
}
