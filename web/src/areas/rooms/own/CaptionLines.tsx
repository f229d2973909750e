// The room's text line: what is said there, in words.
import { useEffect, useRef } from 'react';
import * as m from '#messages';
import type { Caption } from './useCaptions';

/** The last line is in view; those before it can be scrolled back to. */
export function CaptionLines({ lines }: { lines: Caption[] }) {
  const box = useRef<HTMLOListElement>(null);
  const last = lines.at(-1)?.id;
  useEffect(() => {
    if (box.current !== null) box.current.scrollTop = box.current.scrollHeight;
  }, [last]);
  if (lines.length === 0) return null;
  return (
    <ol
      ref={box}
      role="log"
      aria-label={m.room_captions()}
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- it scrolls, also by keyboard
      tabIndex={0}
      className="max-h-24 w-full overflow-y-auto border-s-4 border-ink ps-3 text-lg leading-snug"
    >
      {lines.map((line, i) => (
        <li key={line.id} className={i === lines.length - 1 ? '' : 'text-soft'}>
          {line.text}
        </li>
      ))}
    </ol>
  );
}
