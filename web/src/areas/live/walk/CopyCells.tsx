// Copies in small: a page as a cell, a page as small as it can be read, a whole copy as a strip.
import clsx from 'clsx';
import { use } from 'react';
import type { Schema, Whole } from '../../../api/client';
import { markOf } from '../../../ui/signs/marks';
import { Sign } from '../../../ui/signs/Sign';
import * as m from '#messages';
import { list } from '../../../words/list';
import { timeText } from '../../../words/when';
import { blocksOf } from '../../materials/blocks';
import { isAlone, isSlot, isText } from '../../materials/kinds/rules';
import { signalOf, stateOf } from '../signals';
import { LessonPartsContext } from '../laterParts';
import { Answers } from './Answers';
import { answersOn, isFresh, newestOn, seenUpTo, type Seen } from './fresh';
import { filledOf, passes, type Row } from './rows';

type Lesson = Schema['LessonView'];
type Page = Whole<Schema['CopyView']>['pages'][number];

const writingFor = 4_000;

/** Whose copy it is, how far it is, and how its group stands. */
export function Head({
  row,
  now,
  lesson,
  fresh = false,
  onOpen,
}: {
  row: Row;
  now: number;
  lesson: Lesson;
  fresh?: boolean;
  onOpen?: () => void;
}) {
  const { group, title } = row;
  const signal = group === null ? undefined : signalOf(lesson, group.id);
  // Where everybody has their own answer, it says itself who has none.
  const isTogether = !blocksOf(row.copy.pages).some((block) => isSlot(block) && isAlone(block));
  const silent = lesson.students.filter((one) => isTogether && signal?.silent.includes(one.id)).map((one) => one.name);
  const [done, all] = filledOf(row.copy, row.copy.pages, row.members);
  // What stands in the copy is known here sooner than the lesson is asked again.
  const state = signal === undefined ? undefined : stateOf({ ...signal, filled: done, slots: all }, now);
  const what = (
    <>
      {group !== null && <Sign mark={group.mark} size={20} />}
      <span className="min-w-0 flex-1 font-head font-semibold wrap-anywhere">{title}</span>
      {fresh && <span className="bg-accent px-1.5 text-xs font-semibold text-on-accent">{m.work_fresh()}</span>}
    </>
  );
  return (
    <>
      {onOpen === undefined ? (
        <p className="flex items-center gap-2">{what}</p>
      ) : (
        <button
          type="button"
          aria-label={m.work_open({ name: title })}
          onClick={onOpen}
          className="flex w-full items-center gap-2 text-start after:absolute after:inset-0"
        >
          {what}
        </button>
      )}
      {all > 0 && <Bar done={done} all={all} />}
      {state !== undefined ? (
        <p className={clsx('text-xs wrap-anywhere', state.strong ? 'font-semibold' : 'text-soft')}>{state.text}</p>
      ) : (
        all > 0 && <p className="text-xs text-soft">{m.work_slots({ done, all })}</p>
      )}
      {silent.length > 0 && row.copy.way === 'together' && (
        <p className="text-xs text-soft wrap-anywhere">{m.work_silent({ names: list(silent) })}</p>
      )}
    </>
  );
}

function Bar({ done, all }: { done: number; all: number }) {
  return (
    <span aria-hidden="true" className="mt-1 block h-1.5 border border-ink/60 bg-sheet">
      <span className="block h-full bg-ink/70" style={{ width: `${(100 * done) / all}%` }} />
    </span>
  );
}

interface PageProps {
  row: Row;
  page: Page;
  lesson: Lesson;
  seen: Seen;
  onOpen: () => void;
}

/** The page's own title, or which of how many it is. */
const pageTitle = ({ copy }: Row, page: Page) =>
  page.title === '' ? m.copy_page({ n: copy.pages.indexOf(page) + 1, all: copy.pages.length }) : page.title;

const openLabel = ({ copy, title }: Row, page: Page) =>
  m.work_openPage({ name: title, page: page.title === '' ? String(copy.pages.indexOf(page) + 1) : page.title });

const colourOf = ({ group }: Row) => (group === null ? 'var(--ink)' : markOf(group.mark).colour);

/** A page's title over its cell, where the group's name stands before the row. */
function PageHead({ row, page, fresh, onOpen }: Pick<PageProps, 'row' | 'page' | 'onOpen'> & { fresh: boolean }) {
  const [done, all] = filledOf(row.copy, [page], row.members);
  return (
    <button
      type="button"
      aria-label={openLabel(row, page)}
      onClick={onOpen}
      className="flex w-full items-center gap-2 text-start text-sm font-semibold after:absolute after:inset-0"
    >
      <span className="min-w-0 flex-1 truncate">{pageTitle(row, page)}</span>
      {fresh ? (
        <span className="bg-accent px-1.5 text-xs text-on-accent">{m.work_fresh()}</span>
      ) : (
        <span className="shrink-0 text-xs font-normal text-soft">{m.work_slots({ done, all })}</span>
      )}
    </button>
  );
}

/** Who is writing on a page now, or when it was last written on. */
function lastLine({ row: { copy }, page, lesson, now }: Omit<PageProps, 'seen' | 'onOpen'> & { now: number }): string {
  const [author] = answersOn(copy, page)
    .filter((answer) => now - answer.at < writingFor)
    .map((answer) => lesson.students.find((student) => student.id === answer.author)?.name);
  if (author !== undefined) return m.work_writing({ name: author });
  const last = newestOn(copy, page);
  const { backAt } = lesson.round.moments;
  if (last === 0) return '';
  return (backAt !== null && last > backAt ? m.work_lateAt : m.work_lastAt)({ time: timeText(last) });
}

/** One page of one copy in small, live. */
export function Cell({
  row,
  page,
  lesson,
  seen,
  now,
  headed,
  onOpen,
}: PageProps & {
  now: number;
  /** The group's name stands on the cell, and not before the row. */
  headed: boolean;
}) {
  const { copy } = row;
  const { WorkPress } = use(LessonPartsContext);
  const colour = colourOf(row);
  const fresh = isFresh(copy, page, seen);
  return (
    <li
      className={clsx('relative flex flex-col border-2 bg-sheet hover:bg-wash', fresh && 'ring-4 ring-accent')}
      style={{ borderColor: colour }}
    >
      <div
        className="border-b-2 px-3 py-2"
        style={{ borderColor: colour, backgroundColor: `color-mix(in oklab, ${colour} 16%, var(--sheet))` }}
      >
        {headed ? (
          <>
            <Head row={row} now={now} lesson={lesson} fresh={fresh} onOpen={onOpen} />
            {copy.pages.length > 1 && <p className="text-xs font-semibold wrap-anywhere">{pageTitle(row, page)}</p>}
          </>
        ) : (
          <PageHead row={row} page={page} fresh={fresh} onOpen={onOpen} />
        )}
      </div>
      <div className="flex-1 px-3 pt-3">
        <div className="line-clamp-10">
          <Answers
            copy={copy}
            page={page}
            members={row.members}
            lesson={lesson}
            full={false}
            since={seenUpTo(copy, page, seen)}
          />
        </div>
      </div>
      <p className="flex min-h-6 items-center gap-2 px-3 pb-2 text-xs text-soft" aria-live="off">
        <span className="min-w-0 flex-1">{lastLine({ row, page, lesson, now })}</span>
        <WorkPress lesson={lesson} place={{ copy: copy.id, page: page.id }} small />
      </p>
    </li>
  );
}

/** One page of one copy as small as it can be read: how far it is, and what was written last. */
export function Mini({ row, page, lesson, seen, onOpen }: PageProps) {
  const { copy } = row;
  const { WorkPress } = use(LessonPartsContext);
  const [done, all] = filledOf(copy, [page], row.members);
  const fresh = isFresh(copy, page, seen);
  const last = answersOn(copy, page)
    .filter((answer) => answer.text.trim() !== '')
    .sort((a, b) => b.at - a.at)[0];
  const block = page.blocks.find((one) => one.id === last?.slot);
  const author = lesson.students.find((one) => one.id === last?.author)?.name;
  return (
    <li
      className={clsx('relative border bg-sheet', fresh && 'ring-4 ring-accent')}
      style={{ borderColor: colourOf(row) }}
    >
      <button
        type="button"
        aria-label={openLabel(row, page)}
        onClick={onOpen}
        className="block size-full px-2 py-1 text-start text-sm"
      >
        <span className="flex items-center gap-2">
          <span className="min-w-0 flex-1 truncate font-semibold">{pageTitle(row, page)}</span>
          <span className={clsx('shrink-0 text-xs', fresh ? 'bg-accent px-1 text-on-accent' : 'text-soft')}>
            {fresh ? m.work_fresh() : `${done}/${all}`}
          </span>
        </span>
        {all > 0 && <Bar done={done} all={all} />}
        <span className="mt-0.5 line-clamp-2 pe-14 text-xs leading-snug wrap-anywhere">
          {last === undefined ? (
            <span className="text-soft">{m.work_empty()}</span>
          ) : block !== undefined && isText(block) ? (
            <>
              <span className="font-semibold">{author}</span> {last.text}
            </>
          ) : (
            <span className="text-soft">{m.work_lastAt({ time: timeText(last.at) })}</span>
          )}
        </span>
      </button>
      <span className="absolute inset-e-1 bottom-0.5">
        <WorkPress lesson={lesson} place={{ copy: copy.id, page: page.id }} small />
      </span>
    </li>
  );
}

/** A whole copy as a bar for each of its pages, where there are many. */
export function Strip({ row, seen, onOpen }: { row: Row; seen: Seen; onOpen: (page: Page) => void }) {
  const { group, copy, title } = row;
  const [done, all] = filledOf(copy, copy.pages, row.members);
  const colour = colourOf(row);
  const first = copy.pages.find((page) => isFresh(copy, page, seen)) ?? copy.pages[0];
  const state = row.called ? m.work_filters({ key: 'called' }) : row.still ? m.work_filters({ key: 'still' }) : null;
  return (
    <li
      className={clsx('border-2 bg-sheet', passes(row, 'fresh', seen) && 'ring-2 ring-accent')}
      style={{ borderColor: colour }}
    >
      <button
        type="button"
        aria-label={m.work_open({ name: title })}
        onClick={() => first !== undefined && onOpen(first)}
        className="w-full px-2 py-1 text-start"
      >
        <span className="flex items-center gap-1.5 text-sm">
          {group !== null && <Sign mark={group.mark} size={14} />}
          <span className="min-w-0 flex-1 truncate">{title}</span>
          <span
            className={clsx(
              'shrink-0 text-xs',
              row.called ? 'bg-attention px-1 font-semibold text-on-accent' : row.still ? 'font-semibold' : 'text-soft',
            )}
          >
            {state ?? (row.done ? m.round_table_done() : `${done}/${all}`)}
          </span>
        </span>
        <span className="flex gap-1">
          {copy.pages.map((page) => {
            const [some, of] = filledOf(copy, [page], row.members);
            return (
              <span key={page.id} className={clsx('flex-1', isFresh(copy, page, seen) && 'bg-accent')}>
                <Bar done={some} all={Math.max(1, of)} />
              </span>
            );
          })}
        </span>
      </button>
    </li>
  );
}
