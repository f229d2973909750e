import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** Whether the server renders, or the browser takes over what the server rendered: then both must come to the same view. */
export const useHydrating = (): boolean =>
  useSyncExternalStore(
    never,
    () => false,
    () => true,
  );
