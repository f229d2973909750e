import { useLayoutEffect, useState } from 'react';

interface Room {
  /** Pixels inside the edges. */
  width: number;
  height: number;
}

/** The inner size of an element, kept up to date; `atFirst` until it has been measured. */
export function useRoom(atFirst: Room): Room & { box: (of: HTMLElement | null) => void } {
  const [of, box] = useState<HTMLElement | null>(null);
  const [room, setRoom] = useState(atFirst);
  useLayoutEffect(() => {
    if (of === null) return undefined;
    const measure = () => {
      const style = getComputedStyle(of);
      const inside = (whole: number, ...edges: string[]) =>
        whole - edges.reduce((sum, edge) => sum + (parseFloat(edge) || 0), 0);
      setRoom({
        width: inside(of.clientWidth, style.paddingLeft, style.paddingRight),
        height: inside(of.clientHeight, style.paddingTop, style.paddingBottom),
      });
    };
    const watch = new ResizeObserver(measure);
    watch.observe(of);
    return () => watch.disconnect();
  }, [of]);
  return { box, ...room };
}
