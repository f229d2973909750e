import { useEffect, type RefObject } from 'react';
import { haveGoneOn, type Wanted } from '../later/useWanted';

/** Repeats the focus or the press that the simpler button received before this one replaced it. */
export function useGoOn(button: RefObject<HTMLElement | null>, wanted: Wanted): void {
  useEffect(() => {
    if (wanted === 'nothing') return;
    haveGoneOn();
    button.current?.focus();
    if (wanted === 'press')
      button.current?.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true, cancelable: true }));
    // Only when it is mounted.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
}
