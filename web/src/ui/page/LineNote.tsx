import { useEffect } from 'react';
import { useLine } from '../../api/line';

/**
 * A banner that says the connection is slow or gone, and what that means on this page. It covers nothing: pages as high
 * as the screen subtract `--banner` from their height.
 */
export function LineNote({ slow, down }: { slow: string; down: string }) {
  const line = useLine();
  const isShown = line !== 'good';
  useEffect(() => {
    document.documentElement.style.setProperty('--banner', isShown ? '2.25rem' : '0px');
    return () => void document.documentElement.style.removeProperty('--banner');
  }, [isShown]);
  return (
    <div role="status" className="sticky top-0 z-30 print:hidden">
      {isShown && (
        <p className="min-h-9 border-b-2 border-ink bg-ink px-5 py-1.5 text-center leading-tight font-semibold text-ground">
          {line === 'down' ? down : slow}
        </p>
      )}
    </div>
  );
}
