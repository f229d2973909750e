// Whether a component came with the page from the server.
import { useRef, useSyncExternalStore } from 'react';

const never = () => () => undefined;

/**
 * True on the server, and in the browser for whatever React takes over from it; it does not change, so nothing is
 * rendered again once React has taken over.
 */
export function useHydrated(): boolean {
  const isFromServer = useRef(false);
  return useSyncExternalStore(
    never,
    () => isFromServer.current,
    () => (isFromServer.current = true),
  );
}
