// Sentences with something wrong in them, to be rewritten.
import clsx from 'clsx';
import { useId } from 'react';
import * as m from '#messages';
import { things, without, written } from '../things';
import { wordDiff } from '../wordDiff';
import type { FillProps } from './FillProps';

function Difference({ before, after }: { before: string; after: string }) {
  return (
    <p className="mt-1 text-sm wrap-anywhere">
      {wordDiff(before, after).map((piece, i) =>
        piece.kind === 'gone' ? (
          <del key={i} className="text-soft">
            {piece.text}
          </del>
        ) : piece.kind === 'new' ? (
          <ins key={i} className="mx-0.5 bg-wash font-semibold no-underline">
            {piece.text}
          </ins>
        ) : (
          <span key={i}>{piece.text}</span>
        ),
      )}
    </p>
  );
}

/** Sentences with something wrong in them, to be rewritten; what was changed is shown below each. */
export default function Mend({ block, value, onChange }: FillProps) {
  const id = useId();
  const held = things<string>(value);
  return (
    <ol className="space-y-4">
      {block.settings.items.map((sentence, i) => {
        const now = held[sentence.id] ?? sentence.text;
        const changed = now !== sentence.text;
        return (
          <li key={sentence.id}>
            <label htmlFor={`${id}-${i}`} className={clsx('block wrap-anywhere', changed && 'text-soft')}>
              {i + 1}. {sentence.text}
            </label>
            {onChange !== null && (
              <textarea
                id={`${id}-${i}`}
                rows={1}
                maxLength={2_000}
                value={now}
                aria-label={m.copy_mended({ n: i + 1 })}
                onChange={(event) => {
                  const to = event.target.value;
                  onChange(written(to === sentence.text ? without(held, sentence.id) : { ...held, [sentence.id]: to }));
                }}
                className="mt-1 block field-sizing-content w-full resize-none border-2 border-ink bg-sheet px-3 py-2"
              />
            )}
            {changed && <Difference before={sentence.text} after={now} />}
          </li>
        );
      })}
    </ol>
  );
}
