// Single keys of a page.
import { useEffect } from 'react';
import { singleKeysWork } from './singleKeys';

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/** Single keys of a page, passed over while somebody is typing; they are listed under `?`. */
export function useKeys(keys: Record<string, () => void>) {
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.altKey) return;
      const name = (event.ctrlKey || event.metaKey ? 'Ctrl ' : '') + event.key.toLowerCase();
      const act = keys[name];
      if (act !== undefined && (name.startsWith('Ctrl ') || name === '?' || singleKeysWork())) {
        event.preventDefault();
        act();
      }
    };
    document.addEventListener('keydown', down);
    return () => document.removeEventListener('keydown', down);
  }, [keys]);
}
