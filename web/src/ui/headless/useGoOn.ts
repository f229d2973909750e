import { useEffect, type RefObject } from 'react';
import { haveGoneOn, type Wanted } from '../useWanted';

/** Takes over from the simple button that stood here. */
export function useGoOn(button: RefObject<HTMLElement | null>, wanted: Wanted): void {
  useEffect(() => {
    if (wanted === 'nothing') return;
    haveGoneOn();
    button.current?.focus();
    if (wanted === 'press')
      button.current?.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true, cancelable: true }));
    // Once, when it has come.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
}
