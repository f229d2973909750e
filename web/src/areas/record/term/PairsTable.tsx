// Who has worked with whom: students by students, how often as a number and as depth.
import clsx from 'clsx';
import { memo } from 'react';
import { Sideways } from '../../../ui/page/Sideways';
import * as m from '#messages';
import type { Pairs } from './pairs';
import type { TermView } from './useTerm';

/** A thicker line after every fifth: the eye keeps its row. */
const fifth = (i: number) => i % 5 === 4;

const Row = memo(function Row({
  i,
  names,
  pairs,
  chosen,
  onChoose,
}: {
  i: number;
  names: string[];
  pairs: Pairs;
  chosen: number | null;
  onChoose: (i: number) => void;
}) {
  const name = names[i] ?? '';
  return (
    <tr className={clsx(fifth(i) ? 'border-b border-ink' : 'border-b border-line', chosen === i && 'bg-wash')}>
      <th scope="row" className="max-w-48 p-0 text-start font-normal">
        <button
          type="button"
          aria-pressed={chosen === i}
          className={clsx(
            'block min-h-6 w-full truncate px-1 text-start hover:underline',
            chosen === i && 'bg-ink font-semibold text-ground',
          )}
          onClick={() => onChoose(i)}
        >
          {name}
        </button>
      </th>
      {names.map((other, j) => {
        const times = pairs.times(i, j);
        const depth = pairs.most === 0 ? 0 : times / pairs.most;
        const lit = chosen !== null && (chosen === i || chosen === j);
        return i === j ? (
          <td key={j} className={clsx('bg-line', fifth(j) && 'border-e border-ink')} />
        ) : (
          <td
            key={j}
            title={m.term_pair({ one: name, other, n: times })}
            className={clsx(
              'size-6 p-0 text-center tabular-nums',
              fifth(j) && 'border-e border-ink',
              lit && 'shadow-[inset_0_0_0_1.5px_var(--attention)]',
            )}
            style={{
              backgroundColor: `color-mix(in oklab, var(--ink) ${Math.round(82 * depth)}%, transparent)`,
              color: depth > 0.5 ? 'var(--ground)' : undefined,
            }}
          >
            {times === 0 ? '' : times}
          </td>
        );
      })}
    </tr>
  );
});

export function PairsTable({
  term,
  pairs,
  chosen,
  onChoose,
}: {
  term: TermView;
  pairs: Pairs;
  chosen: number | null;
  onChoose: (i: number) => void;
}) {
  const names = term.students.map((one) => one.name);
  return (
    <Sideways label={m.term_together()}>
      <table className="border-collapse text-xs">
        <thead>
          <tr className="border-b border-ink">
            <td />
            {names.map((name, j) => (
              <th
                key={j}
                scope="col"
                className={clsx('h-36 p-0 align-bottom font-normal', fifth(j) && 'border-e border-ink')}
              >
                <button
                  type="button"
                  tabIndex={-1}
                  className={clsx(
                    'max-h-36 w-6 rotate-180 truncate py-1 text-start hover:underline [writing-mode:vertical-rl]',
                    chosen === j && 'bg-ink font-semibold text-ground',
                  )}
                  onClick={() => onChoose(j)}
                >
                  {name}
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {names.map((_, i) => (
            <Row key={i} i={i} names={names} pairs={pairs} chosen={chosen} onChoose={onChoose} />
          ))}
        </tbody>
      </table>
    </Sideways>
  );
}
