import { useEffect } from 'react';
import { useLine } from '../api/line';

/**
 * Says that the connection is slow or gone, and what that means here. It has a place of its own at the head of the page, and
 * covers nothing: pages as high as the screen leave `--banner` free for it.
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
