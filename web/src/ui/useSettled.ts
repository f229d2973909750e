// Whether what stands somewhere has stood there for a moment.
import { useEffect, useState } from 'react';

const after = 1_000;

/**
 * Whether what stands here has stood here for a second: a press meant for what stood here before is not taken for it.
 */
export function useSettled(what: string): boolean {
  const [settled, setSettled] = useState(what);
  useEffect(() => {
    if (settled === what) return undefined;
    const timer = setTimeout(() => setSettled(what), after);
    return () => clearTimeout(timer);
  }, [what, settled]);
  return settled === what;
}
