import { useEffect, useRef, useState } from 'react';

/** So long it has to be in view before it could have been read; milliseconds. */
const longEnough = 1_000;

/**
 * Whether something has been in view for a moment, on a page that was in front: then it could be read. Once shown it
 * stays so.
 *
 * @returns where it is, and whether it has been shown
 */
export function useShown(): [(of: HTMLElement | null) => void, boolean] {
  const [of, setOf] = useState<HTMLElement | null>(null);
  const [shown, setShown] = useState(false);
  const inView = useRef(false);
  useEffect(() => {
    if (of === null || shown) return undefined;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = () => {
      clearTimeout(timer);
      if (inView.current && document.visibilityState === 'visible')
        timer = setTimeout(() => setShown(true), longEnough);
    };
    const watch = new IntersectionObserver(
      (entries) => {
        const last = entries.at(-1);
        // What is taller than the window is in view as soon as it fills half of it.
        inView.current =
          last !== undefined &&
          (last.intersectionRatio >= 0.6 || last.intersectionRect.height >= window.innerHeight / 2);
        look();
      },
      { threshold: [0, 0.3, 0.6, 0.9] },
    );
    watch.observe(of);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearTimeout(timer);
      watch.disconnect();
      document.removeEventListener('visibilitychange', look);
    };
  }, [of, shown]);
  return [setOf, shown];
}
