// Fits what is shown to the wall: as large as it fits, and in pages where it would become too small.
import clsx from 'clsx';
import { useEffect, useRef, useState, type ReactNode, type RefObject } from 'react';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { backKey, forwardKey } from '../../../ui/direction';
import { pageStarts } from './pageStarts';

/** Sizes of type in pixels, the largest first; the last can be read from eight metres. */
const sizes = [44, 40, 36, 32, 28];
interface Layout {
  size: number;
  columns: number;
}
/** In one column, or where that would be too long in several. */
const layouts = (most: number): Layout[] =>
  Array.from({ length: most }, (_, i) => i + 1).flatMap((columns) => sizes.map((size) => ({ size, columns })));

/** What is not cut in two by the end of a page. */
const whole = 'p, li, tr, blockquote, img, h1, h2, h3, figcaption';

function piecesOf(content: HTMLElement) {
  const from = content.getBoundingClientRect().top;
  return [...content.querySelectorAll(whole)]
    .map((one) => one.getBoundingClientRect())
    .map((box) => ({ top: Math.floor(box.top - from), bottom: Math.ceil(box.bottom - from) }))
    .sort((one, other) => one.top - other.top);
}

/** Sets the largest type with which it fits. @returns where its pages begin */
function fit(frame: HTMLElement, content: HTMLElement, most: number): number[] {
  const put = ({ size, columns }: Layout) => {
    content.style.fontSize = `${size}px`;
    content.style.columnCount = columns === 1 ? '' : String(columns);
  };
  const fits = layouts(most).find((layout) => {
    put(layout);
    return content.scrollHeight <= frame.clientHeight;
  });
  if (fits !== undefined) return [0];
  put({ size: sizes.at(-1) ?? 28, columns: 1 });
  return pageStarts(piecesOf(content), frame.clientHeight, content.scrollHeight);
}

const isSame = (one: number[], other: number[]) => one.length === other.length && one.every((n, i) => n === other[i]);

/** Measured again whenever what is shown, or the wall, changes. @returns where the pages begin */
function useFit(box: RefObject<HTMLElement | null>, inside: RefObject<HTMLElement | null>, most: number): number[] {
  const [starts, setStarts] = useState([0]);
  useEffect(() => {
    const measure = () => {
      if (box.current === null || inside.current === null) return;
      const fresh = fit(box.current, inside.current, most);
      setStarts((old) => (isSame(old, fresh) ? old : fresh));
    };
    measure();
    const observer = new ResizeObserver(measure);
    if (box.current !== null) observer.observe(box.current);
    if (inside.current !== null) observer.observe(inside.current);
    return () => observer.disconnect();
  }, [box, inside, most]);
  return starts;
}

/** @param props.columns the most there may be */
export function FitToScreen({ columns, children }: { columns: number; children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  const inside = useRef<HTMLDivElement>(null);
  const starts = useFit(box, inside, columns);
  const [turned, setTurned] = useState(0);
  const pages = starts.length;
  const page = Math.min(turned, pages - 1);
  const [from, to] = [starts[page] ?? 0, starts[page + 1]];
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === forwardKey()) setTurned(Math.min(pages - 1, page + 1));
      if (event.key === backKey()) setTurned(Math.max(0, page - 1));
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [pages, page]);
  return (
    <>
      <div ref={box} className="relative min-h-0 flex-1 overflow-hidden">
        {/* What would be cut at the lower edge stands on the next page. */}
        <div className="overflow-hidden" style={to === undefined ? undefined : { height: to - from }}>
          <div ref={inside} className="gap-10 leading-snug [&_section]:break-inside-avoid" style={{ marginTop: -from }}>
            {children}
          </div>
        </div>
      </div>
      {/* Always there, so that what is shown does not grow and shrink by it. */}
      <Button
        className={clsx('self-end text-2xl', pages < 2 && 'invisible')}
        onClick={() => setTurned((page + 1) % pages)}
      >
        {m.wall_pageOf({ page: page + 1, pages })} · {m.wall_turnWork()}
      </Button>
    </>
  );
}
