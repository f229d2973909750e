// A text whose words are as dark as many have marked them.
import * as m from '#messages';
import { wordsAt } from '../shown/wordsAt';
import type { SumView } from './SumPicture';

/** The words of the text with their places, in signs from its beginning. */
function placed(passage: string) {
  let at = 0;
  return wordsAt(passage).map((part) => {
    const from = at;
    at += Array.from(part.text).length;
    return { ...part, from };
  });
}

/** One kind of mark at a time: two on one word could not be told apart from a distance. */
export function PassageSum({ sum }: { sum: SumView }) {
  const { heads, passage } = sum.block.settings;
  const parts = placed(passage);
  const kinds = heads.filter((kind) => sum.tallies.some((tally) => tally.under === kind.id));
  const most = Math.max(1, ...sum.tallies.map((tally) => tally.count));
  return (
    <div className="space-y-4">
      {kinds.map((kind) => (
        <section key={kind.id}>
          <h3 className="font-sans text-[0.85em] font-semibold">{m.debrief_markedAs({ kind: kind.text })}</h3>
          <p className="leading-loose whitespace-pre-wrap wrap-anywhere">
            {parts.map((part) => {
              if (part.n === null) return part.text;
              const tally = sum.tallies.find((one) => one.under === kind.id && one.item === String(part.from));
              if (tally === undefined) return <span key={part.from}>{part.text}</span>;
              const depth = tally.count / most;
              return (
                <mark
                  key={part.from}
                  title={String(tally.count)}
                  className="px-0.5"
                  style={{
                    backgroundColor: `color-mix(in oklab, var(--ink) ${Math.round(15 + 85 * depth)}%, var(--sheet))`,
                    color: depth > 0.35 ? 'var(--ground)' : 'var(--ink)',
                  }}
                >
                  {part.text}
                  <sup className="ms-0.5 text-[0.6em] font-bold">{tally.count}</sup>
                </mark>
              );
            })}
          </p>
        </section>
      ))}
    </div>
  );
}
