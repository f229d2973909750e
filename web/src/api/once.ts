import { useRef } from 'react';
import { freshKey } from './client';

/**
 * The key of a form that creates something: pressed twice it creates one thing, and the second press is answered as the
 * first. A new key comes with what was created, or when the form says something else.
 */
export function useOnce(): { headers: (about: unknown) => { 'Idempotency-Key': string }; done: () => void } {
  const kept = useRef<{ about: string; key: string } | null>(null);
  return {
    headers: (about) => {
      const said = JSON.stringify(about);
      if (kept.current?.about !== said) kept.current = { about: said, key: freshKey() };
      return { 'Idempotency-Key': kept.current.key };
    },
    done: () => {
      kept.current = null;
    },
  };
}
