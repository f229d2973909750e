// A sum over all groups as one picture, to be read from the back of the room.
import { useState, type ReactNode } from 'react';
import type { Schema, Whole } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { markOf } from '../../../ui/signs/marks';
import { Sign } from '../../../ui/signs/Sign';
import * as m from '#messages';
import { PassageSum } from './PassageSum';

export type SumView = Whole<Schema['SumView']>;
type Tally = SumView['tallies'][number];
type Source = SumView['sources'][number];

/** What is right has an outline and a tick, never a colour alone. */
export const rightLook = 'outline-4 -outline-offset-4 outline-ink';

/** Who has done it: a dot for each in the colour and sign of its group; without names a number. */
export function Who({
  sum,
  tally,
  onPress,
}: {
  sum: SumView;
  tally: Tally;
  /** Opens what a group has done. */
  onPress?: ((source: Source) => void) | undefined;
}) {
  if (tally.sources.length === 0) return tally.count === 0 ? null : <b className="text-[1.2em]">{tally.count}</b>;
  return (
    <span className="inline-flex flex-wrap items-center gap-1">
      {tally.sources.map((index) => {
        const source = sum.sources[index];
        if (source === undefined) return null;
        const dot = <Dot source={source} />;
        return onPress === undefined ? (
          <span key={source.id}>{dot}</span>
        ) : (
          <button
            key={source.id}
            type="button"
            aria-label={source.name}
            title={source.name}
            onClick={() => onPress(source)}
          >
            {dot}
          </button>
        );
      })}
    </span>
  );
}

function Dot({ source }: { source: Source }) {
  const colour = source.mark === null ? 'var(--ink)' : markOf(source.mark).colour;
  return (
    <span
      title={source.name}
      className="grid size-[1.5em] place-items-center rounded-full border-2 bg-sheet [&>svg]:size-[0.95em]"
      style={{ borderColor: colour, color: colour }}
    >
      {source.mark === null ? null : <Sign mark={source.mark} size={14} plain />}
      <span className="sr-only">{source.name}</span>
    </span>
  );
}

interface PictureProps {
  sum: SumView;
  /** Takes an answer out of like ones, or puts it back among them. */
  onApart?: ((text: string, apart: boolean) => void) | undefined;
  onPress?: ((source: Source) => void) | undefined;
}

/** A table with a row for each card or given row, and a column for each heading. */
function ItemTable({ sum, cell }: { sum: SumView; cell: (tallies: Tally[]) => ReactNode }) {
  const { items, heads } = sum.block.settings;
  return (
    <table className="w-full border-collapse">
      <thead>
        <tr>
          <td />
          {heads.map((head) => (
            <th key={head.id} scope="col" className="border border-ink bg-wash px-2 py-1 text-start wrap-anywhere">
              {head.text}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {items.map((item) => (
          <tr key={item.id}>
            <th
              scope="row"
              data-place={item.id}
              className="border border-ink bg-sheet px-2 py-1 text-start align-top font-normal wrap-anywhere"
            >
              {item.text}
            </th>
            {heads.map((head) => {
              const tallies = sum.tallies.filter((one) => one.item === item.id && one.under === head.id);
              return (
                <td
                  key={head.id}
                  className={`border border-ink bg-sheet px-2 py-1 align-top ${tallies[0]?.right === true ? rightLook : ''}`}
                >
                  {cell(tallies)}
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Cards by headings. */
function Cards({ sum, onPress }: PictureProps) {
  return (
    <ItemTable
      sum={sum}
      cell={([tally]) => (
        <>
          {tally !== undefined && <Who sum={sum} tally={tally} onPress={onPress} />}
          {tally?.right === true && <span className="ms-1 font-bold">✓</span>}
        </>
      )}
    />
  );
}

/** A line with a bar as long as many have done it, and their number at its end. */
function BarLine({ text, tally, most, children }: { text: string; tally: Tally; most: number; children?: ReactNode }) {
  return (
    <li className="space-y-0.5" data-place={tally.item === '' ? undefined : tally.item}>
      <p className="wrap-anywhere">{text}</p>
      <div className="flex flex-wrap items-center gap-2">
        <span
          aria-hidden="true"
          className="h-[1em] min-w-0.5 shrink-0 bg-ink"
          style={{ width: `${(60 * tally.count) / Math.max(1, most)}%` }}
        />
        <b className="text-[1.2em] tabular-nums">{tally.count}</b>
        {children}
      </div>
    </li>
  );
}

function Bars({ sum, onPress }: PictureProps) {
  const most = Math.max(1, ...sum.tallies.map((tally) => tally.count));
  return (
    <ul className="space-y-2">
      {sum.tallies.map((tally) => (
        <BarLine key={`${tally.item}${tally.text}`} text={tally.text} tally={tally} most={most}>
          {onPress !== undefined && tally.sources.length > 0 && tally.sources.length <= 8 && (
            <Who sum={sum} tally={tally} onPress={onPress} />
          )}
        </BarLine>
      ))}
    </ul>
  );
}

/** The different ways in which like answers were written; one that is not the same is taken out by hand. */
function Forms({ tally, onApart }: { tally: Tally; onApart: (text: string, apart: boolean) => void }) {
  const [isOpen, setOpen] = useState(false);
  if (tally.apart)
    return (
      <Button look="quiet" className="text-sm" onClick={() => onApart(tally.text, false)}>
        {m.debrief_putBack()}
      </Button>
    );
  if (tally.forms.length === 0) return null;
  return (
    <>
      <Button look="quiet" className="text-sm" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        {m.debrief_forms({ n: tally.forms.length })}
      </Button>
      {isOpen && (
        <ul className="text-[0.9em]">
          {tally.forms.map((form) => (
            <li key={form} className="flex flex-wrap items-baseline gap-2">
              <span className="min-w-0 whitespace-pre-wrap wrap-anywhere">{form}</span>
              <Button look="quiet" className="text-sm" onClick={() => onApart(form, true)}>
                {m.debrief_notTheSame()}
              </Button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

/** What was written, like answers together: how many, and what. */
function Texts({ sum, onPress, onApart }: PictureProps) {
  return (
    <ul className="space-y-1.5">
      {sum.tallies.map((tally) => (
        <li key={tally.text} className="flex items-baseline gap-3">
          <b className="w-[1.5em] shrink-0 text-end text-[1.2em] tabular-nums">{tally.count}</b>
          <span className="min-w-0 flex-1 border-s-4 border-ink bg-sheet px-2 py-0.5 whitespace-pre-wrap wrap-anywhere">
            {tally.text}{' '}
            {onPress !== undefined && tally.sources.length <= 8 && <Who sum={sum} tally={tally} onPress={onPress} />}
            {onApart !== undefined && <Forms tally={tally} onApart={onApart} />}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** What was written in the cells of the given rows. */
function Cells({ sum }: PictureProps) {
  return (
    <ItemTable
      sum={sum}
      cell={(tallies) => (
        <ul>
          {tallies.map((one) => (
            <li key={one.text} className="wrap-anywhere">
              {one.text} {one.count > 1 && <b>× {one.count}</b>}
            </li>
          ))}
        </ul>
      )}
    />
  );
}

const pictures = { cards: Cards, bars: Bars, numbers: Bars, cells: Cells, passage: PassageSum, texts: Texts };

/** The picture of a sum, with what it is about and how many are in it. */
export function SumPicture({ sum, onPress, onApart }: PictureProps) {
  const Picture = pictures[sum.shape];
  return (
    <figure>
      <figcaption className="mb-2">
        <p className="text-[1.15em] leading-tight font-semibold wrap-anywhere">{sum.block.text}</p>
        <p className="text-[0.8em] text-soft">
          {m.debrief_answeredOf({ n: sum.answered, all: sum.all })}
          {sum.of > 0 && ` · ${m.debrief_rightOf({ percent: Math.round((100 * sum.right) / sum.of) })}`}
        </p>
      </figcaption>
      {sum.answered === 0 ? (
        <p className="text-soft">{m.work_empty()}</p>
      ) : (
        <Picture sum={sum} onPress={onPress} onApart={onApart} />
      )}
      {sum.scores.length > 0 && <Scores sum={sum} />}
    </figure>
  );
}

/** Who has how much right. */
function Scores({ sum }: { sum: SumView }) {
  return (
    <ul aria-label={m.debrief_rightBy()} className="mt-3 flex flex-wrap gap-x-5 gap-y-1 text-[0.85em]">
      {sum.scores.map((score) => {
        const source = sum.sources[score.source];
        return source === undefined ? null : (
          <li key={source.id} className="flex items-center gap-1.5">
            {source.mark !== null && <Sign mark={source.mark} size={16} />} {source.name}{' '}
            <b className="tabular-nums">
              {score.right}/{score.of}
            </b>
          </li>
        );
      })}
    </ul>
  );
}
