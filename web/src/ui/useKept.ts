import { useState } from 'react';
import { drawer } from './drawer';
import { useHydrating } from './useHydrating';

const prefix = 'typed:';

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
  const [kept, setKept] = useState(() => ({ of, text: place.load() ?? otherwise }));
  const isHydrating = useHydrating();
  const text = isHydrating ? otherwise : kept.of === of ? kept.text : (place.load() ?? otherwise);
  return [
    text,
    (next) => {
      setKept({ of, text: next });
      if (next === otherwise) place.clear();
      else place.save(next);
    },
    () => {
      setKept({ of, text: otherwise });
      place.clear();
    },
  ];
}
