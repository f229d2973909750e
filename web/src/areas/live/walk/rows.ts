// Copies as rows, and which of many are worth a look.
import type { Schema, Whole } from '../../../api/client';
import { fillersOf } from '../../materials/blocks';
import { isAlone, isSlot } from '../../materials/kinds/rules';
import { isStill, signalOf } from '../signals';
import { isFresh, newestOn, type Seen } from './fresh';
import { forwardKey } from '../../../ui/direction';

type Copy = Whole<Schema['CopyView']>;
type Page = Copy['pages'][number];
type Lesson = Schema['LessonView'];
type Group = Schema['GroupView'];

/** One copy, with whose it is and how its group stands. */
export interface Row {
  copy: Copy;
  /** Whose colour and sign it has; null: the class's. */
  group: Group | null;
  members: string[];
  title: string;
  called: boolean;
  still: boolean;
  done: boolean;
}

export const filters = ['all', 'fresh', 'called', 'still', 'done'] as const;
export type Filter = (typeof filters)[number];

/** Copies of one original as rows, in the order of the tables. */
export function rowsOf(
  lesson: Lesson,
  copies: Copy[],
  original: string | undefined,
  classCopy: string,
  now: number,
): Row[] {
  const nameOf = (id: string | null) => lesson.students.find((student) => student.id === id)?.name ?? '';
  return copies
    .filter((copy) => copy.original === original)
    .flatMap((copy) => {
      const group =
        lesson.floor.groups.find(
          (one) => one.id === copy.groupId || (copy.studentId !== null && one.students.includes(copy.studentId)),
        ) ?? null;
      if (copy.groupId !== null && group === null) return []; // its table has been taken away
      const members =
        copy.studentId !== null
          ? [copy.studentId]
          : (group?.students ?? lesson.floor.groups.flatMap((one) => one.students));
      const signal = group === null ? undefined : signalOf(lesson, group.id);
      const [filled, places] = filledOf(copy, copy.pages, members);
      return [
        {
          copy,
          group,
          members,
          title: copy.studentId !== null ? nameOf(copy.studentId) : (group?.name ?? classCopy),
          called: signal?.call != null,
          done: (places > 0 && filled === places) || signal?.done === true,
          still: signal !== undefined && isStill(signal, now),
        },
      ];
    })
    .sort((a, b) => (a.group?.number ?? 0) - (b.group?.number ?? 0) || a.title.localeCompare(b.title));
}

/** How many of the places to fill on these pages are filled, and how many there are. */
export function filledOf(copy: Copy, pages: Page[], members: string[]): [number, number] {
  if (copy.way === 'read') return [0, 0];
  const places = pages
    .flatMap((page) => page.blocks)
    .filter(isSlot)
    .flatMap((block) => {
      // Where a slot is for a part of the group, the copy says who that is.
      const fillers = fillersOf(copy, block.id)?.students;
      if (isAlone(block)) return (fillers ?? members).map((id) => [block, id] as const);
      return fillers?.length === 0 ? [] : [[block, copy.id] as const];
    });
  const done = places.filter(([block, owner]) => {
    const answer = copy.answers.find((one) => one.slot === block.id && one.owner === owner);
    return (answer?.share ?? 0) >= 1;
  });
  return [done.length, places.length];
}

export function passes(row: Row, filter: Filter, seen: Seen): boolean {
  switch (filter) {
    case 'fresh':
      return row.copy.pages.some((page) => isFresh(row.copy, page, seen));
    case 'called':
    case 'still':
    case 'done':
      return row[filter];
    default:
      return true;
  }
}

/**
 * Which rows stay large where there are too many for all to: those that call, then what is new, then those that are
 * still; of each kind the latest first.
 */
export function worthALook(rows: Row[], seen: Seen, most: number): Set<string> {
  const newest = (row: Row) => Math.max(0, ...row.copy.pages.map((page) => newestOn(row.copy, page)));
  const rank = (row: Row) => (row.called ? 0 : passes(row, 'fresh', seen) ? 1 : row.still ? 2 : 3);
  return new Set(
    rows
      .filter((row) => rank(row) < 3)
      .sort((a, b) => rank(a) - rank(b) || newest(b) - newest(a))
      .slice(0, most)
      .map((row) => row.copy.id),
  );
}

/** The neighbour of a cell: the same page of the next copy, or the next page of the same copy. At an edge it stays. */
export function neighbour(
  rows: Row[],
  at: { copy: string; page: string },
  key: string,
): { copy: string; page: string } {
  const i = rows.findIndex((row) => row.copy.id === at.copy);
  const row = rows[i];
  if (row === undefined) return at;
  const p = row.copy.pages.findIndex((page) => page.id === at.page);
  if (key === 'ArrowLeft' || key === 'ArrowRight') {
    const page = row.copy.pages[p + (key === forwardKey() ? 1 : -1)];
    return page === undefined ? at : { copy: at.copy, page: page.id };
  }
  const next = rows[i + (key === 'ArrowDown' ? 1 : -1)];
  // Variants may have other pages: the one at the same place.
  const page = next?.copy.pages[Math.min(p, next.copy.pages.length - 1)];
  return next === undefined || page === undefined ? at : { copy: next.copy.id, page: page.id };
}
