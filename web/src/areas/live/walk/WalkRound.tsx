// Going round: the work of all groups at once, and of one when it is opened.
import clsx from 'clsx';
import { use, useState } from 'react';
import { useServerNow } from '../../../api/clock';
import type { Schema, Whole } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { markOf } from '../../../ui/signs/marks';
import { Tabs } from '../../../ui/page/Tabs';
import * as m from '#messages';
import { NumberLines } from '../../materials/kinds/NumberLine';
import { LessonPartsContext } from '../laterParts';
import { Cell, Head, Mini, Strip } from './CopyCells';
import { CopySheet } from './CopySheet';
import { isFresh, loadSeen, looked, seenUpTo, storeSeen, type Seen } from './fresh';
import { filters, passes, rowsOf, worthALook, type Filter, type Row } from './rows';
import { useCopies } from './useCopies';

type Lesson = Schema['LessonView'];
type Page = Whole<Schema['CopyView']>['pages'][number];

/** So many copies are shown large; of more only those that are worth a look. */
const largeAtOnce = 12;
const largeOfMany = 6;
/** Of so many copies with several pages each page is shown as small as it can be read. */
const smallFrom = 3;

/** Which page of which copy lies open. */
interface Opened {
  copy: string;
  page: string;
}

/**
 * The page that lies open: what was pressed, or at first the copy of the group the teacher has come to, until it is put
 * away.
 */
function useOpened(rows: Row[], visited: string | null) {
  const [pressed, setOpened] = useState<Opened | null | undefined>(undefined);
  const theirs = rows.find(({ group }) => group?.id === visited)?.copy;
  const first = theirs === undefined ? null : { copy: theirs.id, page: theirs.pages[0]?.id ?? '' };
  const opened = pressed === undefined ? first : pressed;
  const row = rows.find(({ copy }) => copy.id === opened?.copy);
  const page = row?.copy.pages.find((one) => one.id === opened?.page);
  return { opened: row === undefined || page === undefined ? null : { row, page }, setOpened };
}

/** What the teacher has looked at of these copies; kept on her device. What lies open is being looked at. */
function useSeen(roundId: string, opened: { row: Row; page: Page } | null) {
  const [stored, setSeen] = useState<Seen>(() => loadSeen(roundId));
  const look = (what: { copy: Row['copy']; page: Page }[]) => {
    const next = looked(stored, what);
    setSeen(next);
    storeSeen(roundId, next);
  };
  const seen = opened === null ? stored : looked(stored, [{ copy: opened.row.copy, page: opened.page }]);
  return { stored, seen, look };
}

/** The worksheets there are copies of, and the one that is shown. */
function useShownOriginal(lesson: Lesson, copies: { original: string }[]) {
  const [chosen, setChosen] = useState<string | null>(null);
  const originals = lesson.handOut.filter((row) => copies.some((copy) => copy.original === row.original));
  const original =
    originals.find((row) => row.original === chosen) ??
    // While everybody works alone, it is what they work on.
    originals.find((row) => row.opensWith !== null && row.opensWith === lesson.order.now) ??
    originals[0];
  const choice =
    originals.length > 1 && original !== undefined ? (
      <Tabs
        label={m.work_which()}
        tabs={originals.map((one) => ({ value: one.original, label: one.title }))}
        shown={original.original}
        onShow={setChosen}
      />
    ) : null;
  return { original: original?.original, choice };
}

function FilterBar({
  counts,
  filter,
  onFilter,
  onLookedAtAll,
}: {
  counts: (filter: Filter) => number;
  filter: Filter;
  onFilter: (filter: Filter) => void;
  onLookedAtAll: () => void;
}) {
  return (
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
            onClick={() => onFilter(filter === one ? 'all' : one)}
          >
            {m.work_filters({ key: one })} {counts(one)}
          </Button>
        ))}
      </div>
      <Button look="quiet" disabled={counts('fresh') === 0} onClick={onLookedAtAll}>
        {m.work_lookedAtAll()}
      </Button>
    </div>
  );
}

interface Shown {
  rows: Row[];
  lesson: Lesson;
  seen: Seen;
  now: number;
  onOpen: (row: Row, page: Page) => void;
}

/** Some pages of a copy, each as it is. */
function Cells({ row, pages, headed, shown }: { row: Row; pages: Page[]; headed: boolean; shown: Shown }) {
  const { lesson, seen, now, onOpen } = shown;
  return pages.map((page) => (
    <Cell
      key={`${row.copy.id}${page.id}`}
      row={row}
      page={page}
      lesson={lesson}
      seen={seen}
      now={now}
      headed={headed}
      onOpen={() => onOpen(row, page)}
    />
  ));
}

/** Many copies: a strip for each, and large only those that are worth a look. */
function ManyCopies({ shown }: { shown: Shown }) {
  const { rows, seen, onOpen } = shown;
  const large = worthALook(rows, seen, largeOfMany);
  const big = rows.filter((row) => large.has(row.copy.id));
  /** Of a copy that is worth a look: the pages where something is new, or else the first. */
  const worth = ({ copy }: Row) => {
    const fresh = copy.pages.filter((page) => isFresh(copy, page, seen));
    return fresh.length > 0 ? fresh : copy.pages.slice(0, 1);
  };
  return (
    <>
      <ul aria-label={m.work_all()} className="grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-2">
        {rows.map((row) => (
          <Strip key={row.copy.id} row={row} seen={seen} onOpen={(page) => onOpen(row, page)} />
        ))}
      </ul>
      {big.length > 0 && (
        <ul aria-label={m.work_worth()} className="mt-5 grid grid-cols-[repeat(auto-fill,minmax(17rem,1fr))] gap-4">
          {big.map((row) => (
            <Cells key={row.copy.id} row={row} pages={worth(row)} headed shown={shown} />
          ))}
        </ul>
      )}
    </>
  );
}

/** Copies of several pages: a line for each, its pages beside each other. */
function CopiesByPages({ shown, small }: { shown: Shown; small: boolean }) {
  const { rows, lesson, seen, now, onOpen } = shown;
  return (
    <div className={small ? 'space-y-2' : 'space-y-4'}>
      {rows.map((row) => (
        <section key={row.copy.id} aria-label={row.title} className="flex flex-col gap-2 lg:flex-row lg:gap-3">
          <div className="shrink-0 lg:w-40">
            <Head row={row} now={now} lesson={lesson} />
          </div>
          <ul
            className={clsx(
              'grid min-w-0 flex-1',
              small
                ? 'grid-cols-[repeat(auto-fit,minmax(10rem,1fr))] gap-2'
                : 'grid-cols-[repeat(auto-fit,minmax(13rem,1fr))] gap-3',
            )}
          >
            {small ? (
              row.copy.pages.map((page) => (
                <Mini
                  key={page.id}
                  row={row}
                  page={page}
                  lesson={lesson}
                  seen={seen}
                  onOpen={() => onOpen(row, page)}
                />
              ))
            ) : (
              <Cells row={row} pages={row.copy.pages} headed={false} shown={shown} />
            )}
          </ul>
        </section>
      ))}
    </div>
  );
}

/** In the way that suits how many there are. */
function Copies({ shown, all }: { shown: Shown; all: Row[] }) {
  if (all.length > largeAtOnce) return <ManyCopies shown={shown} />;
  if (all.some((row) => row.copy.pages.length > 1))
    return <CopiesByPages shown={shown} small={all.length > smallFrom} />;
  return (
    <ul className="grid grid-cols-[repeat(auto-fill,minmax(17rem,1fr))] gap-4">
      {shown.rows.map((row) => (
        <Cells key={row.copy.id} row={row} pages={row.copy.pages} headed shown={shown} />
      ))}
    </ul>
  );
}

/** Where a slot asks for a number: those of all groups on one line. */
function GroupNumbers({ rows, lesson }: { rows: Row[]; lesson: Lesson }) {
  return (
    <NumberLines
      copies={rows.map(({ copy }) => copy)}
      colourOf={(copy) => {
        const group = rows.find((one) => one.copy === copy)?.group;
        return group == null ? 'var(--ink)' : markOf(group.mark).colour;
      }}
      nameOf={(id) => lesson.students.find((student) => student.id === id)?.name ?? m.work_formerMember()}
    />
  );
}

/** The walk-round: every group's work, page by page, live; what is new since it was last looked at glows. */
function WorkByGroup({
  lesson,
  visited,
  onVisit,
}: {
  lesson: Lesson;
  visited: string | null;
  onVisit: ((group: string) => void) | undefined;
}) {
  const copies = useCopies(lesson.round.id);
  const [filter, setFilter] = useState<Filter>('all');
  const now = useServerNow(1_000);
  const { original, choice } = useShownOriginal(lesson, copies.data ?? []);
  const rows = rowsOf(lesson, copies.data ?? [], original, m.work_classCopy(), now);
  const { opened, setOpened } = useOpened(rows, visited);
  const { stored, seen, look } = useSeen(lesson.round.id, opened);
  const shown = rows.filter((row) => passes(row, filter, seen));
  const onOpen = (row: Row, page: Page) => setOpened({ copy: row.copy.id, page: page.id });
  const leave = (to: Opened | null) => {
    if (opened !== null) look([{ copy: opened.row.copy, page: opened.page }]);
    setOpened(to);
  };
  return (
    <>
      {copies.isSuccess && rows.length === 0 && (
        <p className="mx-auto max-w-md py-16 text-center text-soft">{m.work_none()}</p>
      )}
      {choice}
      {rows.length > 0 && (
        <FilterBar
          counts={(one) => rows.filter((row) => passes(row, one, seen)).length}
          filter={filter}
          onFilter={setFilter}
          onLookedAtAll={() => look(rows.flatMap(({ copy }) => copy.pages.map((page) => ({ copy, page }))))}
        />
      )}
      <GroupNumbers rows={rows} lesson={lesson} />
      {rows.length > 0 && shown.length === 0 && <p className="py-8 text-soft">{m.work_noneLikeThat()}</p>}
      <Copies shown={{ rows: shown, lesson, seen, now, onOpen }} all={rows} />
      {opened !== null && (
        <CopySheet
          rows={rows}
          row={opened.row}
          page={opened.page}
          lesson={lesson}
          since={seenUpTo(opened.row.copy, opened.page, stored)}
          onVisit={onVisit}
          onGo={leave}
          onClose={() => leave(null)}
        />
      )}
    </>
  );
}

type Sorting = 'group' | 'question';

/** The work of a round: by groups, or by questions over all groups. */
export function WalkRound({
  lesson,
  visited = null,
  onVisit,
}: {
  lesson: Lesson;
  visited?: string | null;
  onVisit?: ((group: string) => void) | undefined;
}) {
  const { WorkByQuestion } = use(LessonPartsContext);
  const [sorting, setSorting] = useState<Sorting>('group');
  const [opened, setOpened] = useState<string | null>(null);
  return (
    <div className="floor-paper flex-1 overflow-y-auto p-5">
      {WorkByQuestion !== null && lesson.copies.length > 0 && (
        <div className="mb-3">
          <Tabs
            label={m.work_sorting()}
            tabs={[
              { value: 'group', label: m.work_byGroup() },
              { value: 'question', label: m.work_byQuestion() },
            ]}
            shown={sorting}
            onShow={setSorting}
          />
        </div>
      )}
      {sorting === 'question' && WorkByQuestion !== null ? (
        <WorkByQuestion
          lesson={lesson}
          onOpen={(group) => {
            setOpened(group);
            setSorting('group');
          }}
        />
      ) : (
        <WorkByGroup key={opened} lesson={lesson} visited={opened ?? visited} onVisit={onVisit} />
      )}
    </div>
  );
}
