import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** True on the server and while React hydrates: then both must render the same. */
export const useHydrating = (): boolean =>
  useSyncExternalStore(
    never,
    () => false,
    () => true,
  );
