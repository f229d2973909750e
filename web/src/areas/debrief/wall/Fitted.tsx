// Fits what is shown to the wall: as large as it fits, and in pages where it would become too small.
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { backKey, forwardKey } from '../../../ui/direction';

/** Sizes of type in pixels, the largest first; the last can be read from eight metres. */
const sizes = [44, 40, 36, 32, 28];
/** In one column, or where that would be too long in two. */
const layouts = [1, 2].flatMap((columns) => sizes.map((size) => ({ size, columns })));

/** Picks the largest size at which it fits; measured again whenever it changes. */
function useFit(turned: number) {
  const box = useRef<HTMLDivElement>(null);
  const inside = useRef<HTMLDivElement>(null);
  const [fit, setFit] = useState({ size: sizes[0] ?? 28, pages: 1 });
  useEffect(() => {
    const measure = () => {
      const [frame, content] = [box.current, inside.current];
      if (frame === null || content === null) return;
      const put = ({ size, columns }: { size: number; columns: number }) => {
        content.style.fontSize = `${size}px`;
        content.style.columnCount = String(columns);
      };
      const fits = layouts.find((layout) => {
        put(layout);
        return content.scrollHeight <= frame.clientHeight;
      });
      const size = fits?.size ?? sizes.at(-1) ?? 28;
      put(fits ?? { size, columns: 1 });
      const pages = Math.max(1, Math.ceil(content.scrollHeight / Math.max(1, frame.clientHeight)));
      setFit((old) => (old.size === size && old.pages === pages ? old : { size, pages }));
    };
    measure();
    const observer = new ResizeObserver(measure);
    if (box.current !== null) observer.observe(box.current);
    if (inside.current !== null) observer.observe(inside.current);
    return () => observer.disconnect();
  }, []);
  const page = Math.min(turned, fit.pages - 1);
  useEffect(() => {
    const frame = box.current;
    if (frame !== null) frame.scrollTop = page * frame.clientHeight;
  }, [page, fit.size]);
  return { box, inside, page, ...fit };
}

export function Fitted({ children }: { children: ReactNode }) {
  const [turned, setTurned] = useState(0);
  const { box, inside, page, pages } = useFit(turned);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === forwardKey()) setTurned((n) => Math.min(pages - 1, n + 1));
      if (event.key === backKey()) setTurned((n) => Math.max(0, Math.min(n, pages - 1) - 1));
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [pages]);
  return (
    <>
      <div ref={box} className="min-h-0 flex-1 overflow-hidden">
        <div ref={inside} className="gap-10 leading-snug [&_section]:break-inside-avoid">
          {children}
        </div>
      </div>
      {pages > 1 && (
        <Button className="self-end text-2xl" onClick={() => setTurned((page + 1) % pages)}>
          {m.wall_pageOf({ page: page + 1, pages })} · {m.wall_turnWork()}
        </Button>
      )}
    </>
  );
}
