import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState } from 'react';
import { useServerNow } from '../../../api/clock';
import { api, take, whole, type Schema, type Whole } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { markOf } from '../../../ui/marks';
import { Sign } from '../../../ui/Sign';
import { Tabs } from '../../../ui/Tabs';
import * as m from '#messages';
import { list } from '../../../words/list';
import { timeText } from '../../../words/when';
import { asked } from '../../materials/answers';
import { blocksOf } from '../../materials/blocks';
import { NumberLines } from '../../materials/kinds/NumberLine';
import { isAlone, isSlot, isText } from '../../materials/kinds/rules';
import { signalOf, stateOf } from '../signals';
import { Answers } from './Answers';
import { CopySheet } from './CopySheet';
import { answersOn, isFresh, loadSeen, looked, newestOn, seenUpTo, storeSeen, type Seen } from './fresh';
import { filledOf, filters, passes, rowsOf, worthALook, type Filter, type Row } from './rows';

type Lesson = Schema['LessonView'];
type Page = Whole<Schema['CopyView']>['pages'][number];

const writingFor = 4_000;
/** So many copies are shown large; of more only those that are worth a look. */
const largeAtOnce = 12;
const largeOfMany = 6;
/** Of so many copies with several pages each page is shown as small as it can be read. */
const smallFrom = 3;

/** Whose copy it is, how far it is, and how its group stands. */
function Head({
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
      {fresh ? (
        <span className="bg-accent px-1.5 text-xs font-semibold text-on-accent">{m.work_fresh()}</span>
      ) : (
        state === undefined && <span className="shrink-0 text-xs text-soft">{m.work_slots({ done, all })}</span>
      )}
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
      {state !== undefined && (
        <p className={clsx('text-xs wrap-anywhere', state.strong ? 'font-semibold' : 'text-soft')}>{state.text}</p>
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

/** One page of one copy in small, live. */
function Cell({
  row,
  page,
  lesson,
  seen,
  now,
  headed,
  onOpen,
}: {
  row: Row;
  page: Page;
  lesson: Lesson;
  seen: Seen;
  now: number;
  /** The group's name stands on the cell, and not before the row. */
  headed: boolean;
  onOpen: () => void;
}) {
  const { copy, group, title } = row;
  const colour = group === null ? 'var(--ink)' : markOf(group.mark).colour;
  const fresh = isFresh(copy, page, seen);
  const last = newestOn(copy, page);
  const backAt = lesson.round.moments.backAt;
  const writing = answersOn(copy, page)
    .filter((answer) => now - answer.at < writingFor)
    .map((answer) => lesson.students.find((student) => student.id === answer.author)?.name)[0];
  const [done, all] = filledOf(copy, [page], row.members);
  const at = copy.pages.indexOf(page);
  const pageName = page.title === '' ? m.copy_page({ n: at + 1, all: copy.pages.length }) : page.title;
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
            {copy.pages.length > 1 && <p className="text-xs font-semibold wrap-anywhere">{pageName}</p>}
          </>
        ) : (
          <button
            type="button"
            aria-label={m.work_openPage({ name: title, page: page.title === '' ? String(at + 1) : page.title })}
            onClick={onOpen}
            className="flex w-full items-center gap-2 text-start text-sm font-semibold after:absolute after:inset-0"
          >
            <span className="min-w-0 flex-1 truncate">
              {page.title === '' ? m.copy_page({ n: at + 1, all: copy.pages.length }) : page.title}
            </span>
            {fresh ? (
              <span className="bg-accent px-1.5 text-xs text-on-accent">{m.work_fresh()}</span>
            ) : (
              <span className="shrink-0 text-xs font-normal text-soft">{m.work_slots({ done, all })}</span>
            )}
          </button>
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
      <p className="min-h-6 px-3 pb-2 text-xs text-soft" aria-live="off">
        {writing !== undefined
          ? m.work_writing({ name: writing })
          : last > 0
            ? (backAt !== null && last > backAt ? m.work_lateAt : m.work_lastAt)({ time: timeText(last) })
            : ''}
      </p>
    </li>
  );
}

/** One page of one copy as small as it can be read: how far it is, and what was written last. */
function Mini({
  row,
  page,
  lesson,
  seen,
  onOpen,
}: {
  row: Row;
  page: Page;
  lesson: Lesson;
  seen: Seen;
  onOpen: () => void;
}) {
  const { copy, group, title } = row;
  const colour = group === null ? 'var(--ink)' : markOf(group.mark).colour;
  const [done, all] = filledOf(copy, [page], row.members);
  const at = copy.pages.indexOf(page);
  const fresh = isFresh(copy, page, seen);
  const last = answersOn(copy, page)
    .filter((answer) => answer.text.trim() !== '')
    .sort((a, b) => b.at - a.at)[0];
  const block = page.blocks.find((one) => one.id === last?.slot);
  const author = lesson.students.find((one) => one.id === last?.author)?.name;
  return (
    <li className={clsx('border bg-sheet', fresh && 'ring-4 ring-accent')} style={{ borderColor: colour }}>
      <button
        type="button"
        aria-label={m.work_openPage({ name: title, page: page.title === '' ? String(at + 1) : page.title })}
        onClick={onOpen}
        className="block size-full px-2 py-1 text-start text-sm"
      >
        <span className="flex items-center gap-2">
          <span className="min-w-0 flex-1 truncate font-semibold">
            {page.title === '' ? m.copy_page({ n: at + 1, all: copy.pages.length }) : page.title}
          </span>
          <span className={clsx('shrink-0 text-xs', fresh ? 'bg-accent px-1 text-on-accent' : 'text-soft')}>
            {fresh ? m.work_fresh() : `${done}/${all}`}
          </span>
        </span>
        {all > 0 && <Bar done={done} all={all} />}
        <span className="mt-0.5 line-clamp-2 text-xs leading-snug wrap-anywhere">
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
    </li>
  );
}

/** A whole copy as a bar for each of its pages, where there are many. */
function Strip({ row, seen, onOpen }: { row: Row; seen: Seen; onOpen: (page: Page) => void }) {
  const { group, copy, title } = row;
  const [done, all] = filledOf(copy, copy.pages, row.members);
  const colour = group === null ? 'var(--ink)' : markOf(group.mark).colour;
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

/** The walk-round: every group's work, page by page, live; what is new since it was last looked at glows. */
export function WalkRound({
  lesson,
  visited = null,
  onVisit,
}: {
  lesson: Lesson;
  visited?: string | null;
  onVisit?: ((group: string) => void) | undefined;
}) {
  const roundId = lesson.round.id;
  const copies = useQuery({
    queryKey: ['copies', roundId],
    queryFn: () =>
      asked(async () =>
        whole(await take(api.GET('/api/staff/rounds/{id}/copies', { params: { path: { id: roundId } } }))),
      ),
  });
  const [stored, setSeen] = useState<Seen>(() => loadSeen(roundId));
  const [pressed, setOpened] = useState<{ copy: string; page: string } | null | undefined>(undefined);
  const [filter, setFilter] = useState<Filter>('all');
  const now = useServerNow(1_000);
  const originals = lesson.handOut.filter(
    (row) => copies.data?.some((copy) => copy.original === row.original) === true,
  );
  const [chosen, setChosen] = useState<string | null>(null);
  const original =
    originals.find((row) => row.original === chosen) ??
    // While everybody works alone, it is what they work on.
    originals.find((row) => row.opensWith !== null && row.opensWith === lesson.order.now) ??
    originals[0];
  const rows = rowsOf(lesson, copies.data ?? [], original?.original, m.work_classCopy(), now);
  const many = rows.length > largeAtOnce;
  const pages = Math.max(0, ...rows.map((row) => row.copy.pages.length));
  // Whoever comes to a group sees its copy, until they put it away.
  const theirs = rows.find(({ group }) => group?.id === visited)?.copy;
  const opened =
    pressed === undefined
      ? theirs === undefined
        ? null
        : { copy: theirs.id, page: theirs.pages[0]?.id ?? '' }
      : pressed;
  const look = (what: { copy: Row['copy']; page: Page }[]) => {
    const next = looked(stored, what);
    setSeen(next);
    storeSeen(roundId, next);
  };
  const row = rows.find(({ copy }) => copy.id === opened?.copy);
  const page = row?.copy.pages.find((one) => one.id === opened?.page);
  // What lies open is being looked at.
  const seen = row === undefined || page === undefined ? stored : looked(stored, [{ copy: row.copy, page }]);
  const open = (one: Row, of: Page | undefined) => {
    if (of !== undefined) setOpened({ copy: one.copy.id, page: of.id });
  };
  const shown = rows.filter((row) => passes(row, filter, seen));
  const large = many ? worthALook(shown, seen, largeOfMany) : null;
  const counts = (one: Filter) => rows.filter((row) => passes(row, one, seen)).length;
  const byPages = pages > 1;
  const cellsOf = (one: Row, some: Page[], headed: boolean) =>
    some.map((of) => (
      <Cell
        key={`${one.copy.id}${of.id}`}
        row={one}
        page={of}
        lesson={lesson}
        seen={seen}
        now={now}
        headed={headed}
        onOpen={() => open(one, of)}
      />
    ));
  const minis = (one: Row) =>
    one.copy.pages.map((of) => (
      <Mini key={of.id} row={one} page={of} lesson={lesson} seen={seen} onOpen={() => open(one, of)} />
    ));
  /** Of a copy that is worth a look: the pages where something is new, or else the first. */
  const worth = (one: Row) => {
    const fresh = one.copy.pages.filter((of) => isFresh(one.copy, of, seen));
    return fresh.length > 0 ? fresh : one.copy.pages.slice(0, 1);
  };
  const big = shown.filter((one) => large?.has(one.copy.id) === true);
  return (
    <div className="floor-paper flex-1 overflow-y-auto p-5">
      {copies.isSuccess && rows.length === 0 && (
        <p className="mx-auto max-w-md py-16 text-center text-soft">{m.work_none()}</p>
      )}
      {originals.length > 1 && original !== undefined && (
        <Tabs
          label={m.work_which()}
          tabs={originals.map((one) => ({ value: one.original, label: one.title }))}
          shown={original.original}
          onShow={setChosen}
        />
      )}
      {rows.length > 0 && (
        <div className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2 text-sm">
          <div role="group" aria-label={m.work_filter()} className="flex flex-wrap gap-1">
            {filters.map((one) => (
              <Button
                key={one}
                aria-pressed={filter === one}
                className={clsx(
                  'px-2 py-1',
                  filter === one && 'bg-ink! font-semibold text-ground!',
                  counts(one) === 0 && one !== filter && 'text-soft',
                )}
                onClick={() => setFilter(filter === one ? 'all' : one)}
              >
                {m.work_filters({ key: one })} {counts(one)}
              </Button>
            ))}
          </div>
          <Button
            look="quiet"
            disabled={counts('fresh') === 0}
            onClick={() => look(rows.flatMap(({ copy }) => copy.pages.map((of) => ({ copy, page: of }))))}
          >
            {m.work_lookedAtAll()}
          </Button>
        </div>
      )}
      <NumberLines
        copies={rows.map(({ copy }) => copy)}
        colourOf={(copy) => {
          const group = rows.find((one) => one.copy === copy)?.group;
          return group == null ? 'var(--ink)' : markOf(group.mark).colour;
        }}
        nameOf={(id) => lesson.students.find((student) => student.id === id)?.name ?? m.work_formerMember()}
      />
      {rows.length > 0 && shown.length === 0 && <p className="py-8 text-soft">{m.work_noneLikeThat()}</p>}
      {many ? (
        <>
          <ul aria-label={m.work_all()} className="grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-2">
            {shown.map((one) => (
              <Strip key={one.copy.id} row={one} seen={seen} onOpen={(of) => open(one, of)} />
            ))}
          </ul>
          {big.length > 0 && (
            <ul aria-label={m.work_worth()} className="mt-5 grid grid-cols-[repeat(auto-fill,minmax(17rem,1fr))] gap-4">
              {big.flatMap((one) => cellsOf(one, worth(one), true))}
            </ul>
          )}
        </>
      ) : byPages ? (
        <div className={rows.length > smallFrom ? 'space-y-2' : 'space-y-4'}>
          {shown.map((one) => (
            <section key={one.copy.id} aria-label={one.title} className="flex flex-col gap-2 lg:flex-row lg:gap-3">
              <div className="shrink-0 lg:w-40">
                <Head row={one} now={now} lesson={lesson} />
              </div>
              <ul
                className={clsx(
                  'grid min-w-0 flex-1',
                  rows.length > smallFrom
                    ? 'grid-cols-[repeat(auto-fit,minmax(10rem,1fr))] gap-2'
                    : 'grid-cols-[repeat(auto-fit,minmax(13rem,1fr))] gap-3',
                )}
              >
                {rows.length > smallFrom ? minis(one) : cellsOf(one, one.copy.pages, false)}
              </ul>
            </section>
          ))}
        </div>
      ) : (
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(17rem,1fr))] gap-4">
          {shown.flatMap((one) => cellsOf(one, one.copy.pages, true))}
        </ul>
      )}
      {row !== undefined && page !== undefined && (
        <CopySheet
          rows={rows}
          row={row}
          page={page}
          lesson={lesson}
          since={seenUpTo(row.copy, page, stored)}
          onVisit={onVisit}
          onGo={(to) => {
            look([{ copy: row.copy, page }]);
            setOpened(to);
          }}
          onClose={() => {
            look([{ copy: row.copy, page }]);
            setOpened(null);
          }}
        />
      )}
    </div>
  );
}
