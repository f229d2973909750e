// Where others write in a text just now.
import { useState } from 'react';
import type { Schema } from '../../../api/client';
import { movedCaret } from './caret';

type Answer = Schema['AnswerView'];

interface Caret {
  at: number;
  /** In the text as it was then, in UTF-16 units. */
  caret: number;
  text: string;
}

const shownFor = 4_000;

/** Where each of the others wrote last, by who they are. */
export function useCarets(answer: Answer | undefined, me: string): Record<string, Caret> {
  const [seen, setSeen] = useState<{ answer: Answer | undefined; carets: Record<string, Caret> }>({
    answer,
    carets: {},
  });
  if (answer === seen.answer) return seen.carets;
  const { author, caret, at, text } = answer ?? {};
  const fresh =
    author === undefined || author === me || caret == null || at === undefined || text === undefined
      ? seen.carets
      : { ...seen.carets, [author]: { at, text, caret: Array.from(text).slice(0, caret).join('').length } };
  setSeen({ answer, carets: fresh });
  return fresh;
}

/** A mark with a name wherever somebody else is writing just now; it lies over the text and is in nobody's way. */
export function Carets({
  carets,
  text,
  nameOf,
  now,
}: {
  carets: Record<string, Caret>;
  text: string;
  nameOf: (id: string) => string | undefined;
  now: number;
}) {
  const shown = Object.entries(carets).flatMap(([author, one]) => {
    const name = nameOf(author);
    return name === undefined || now - one.at > shownFor
      ? []
      : [{ author, name, before: text.slice(0, movedCaret(one.text, text, one.caret)) }];
  });
  return (
    <div aria-hidden="true" className="pointer-events-none absolute inset-0 overflow-hidden">
      {shown.map(({ author, name, before }) => (
        <p
          key={author}
          className="absolute inset-0 border-2 border-transparent px-3 py-2 text-lg leading-relaxed wrap-break-word whitespace-pre-wrap text-transparent"
        >
          {/* It holds the place and is nobody's text: neither found nor read aloud. */}
          <span data-before={before} className="before:content-[attr(data-before)]" />
          <span className="relative inline-block h-[1.1em] w-0 border-s-2 border-ink align-text-bottom">
            <span className="absolute top-full inset-s-0 z-10 bg-ink px-1 text-xs leading-snug whitespace-nowrap text-ground">
              {name}
            </span>
          </span>
        </p>
      ))}
    </div>
  );
}
