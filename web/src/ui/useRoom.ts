// The inner size of an element, kept up to date.
import { useCallback, useState, type RefCallback } from 'react';

interface Room {
  /** Pixels inside the edges. */
  width: number;
  height: number;
}

function roomIn(element: HTMLElement): Room {
  const style = getComputedStyle(element);
  const inside = (whole: number, ...edges: string[]) =>
    Math.round(whole - edges.reduce((sum, edge) => sum + (parseFloat(edge) || 0), 0));
  return {
    width: inside(element.clientWidth, style.paddingLeft, style.paddingRight),
    height: inside(element.clientHeight, style.paddingTop, style.paddingBottom),
  };
}

/** The inner size of an element, kept up to date; `atFirst` until it has been measured. */
export function useRoom(atFirst: Room): Room & { box: RefCallback<HTMLElement> } {
  const [room, setRoom] = useState(atFirst);
  // Where it is as big as it was thought to be, nothing is drawn again.
  const box = useCallback((element: HTMLElement | null) => {
    if (element === null) return undefined;
    const watch = new ResizeObserver(() => {
      const next = roomIn(element);
      setRoom((was) => (was.width === next.width && was.height === next.height ? was : next));
    });
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return { box, ...room };
}
