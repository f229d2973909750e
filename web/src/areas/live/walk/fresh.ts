// What a teacher has not seen yet of the copies of a lesson, kept on the device.
import type { Schema, Whole } from '../../../api/client';

type Copy = Whole<Schema['CopyView']>;
type Page = Copy['pages'][number];
type Answer = Copy['answers'][number];

/**
 * How far the teacher has looked at each page of each copy: the time of the newest answer seen. Kept on this device.
 */
export type Seen = Record<string, number>;

const keyOf = (copy: Copy, page: Page) => `${copy.id}:${page.id}`;

/** What stands on one page of a copy. */
export function answersOn(copy: Copy, page: Page): Answer[] {
  const slots = new Set(page.blocks.map((block) => block.id));
  return copy.answers.filter((answer) => slots.has(answer.slot));
}

/** When something was last written or answered on a page; 0: never. Milliseconds since 1970. */
export function newestOn(copy: Copy, page: Page): number {
  const slots = new Set(page.blocks.map((block) => block.id));
  return Math.max(
    0,
    ...answersOn(copy, page).map((answer) => answer.at),
    ...copy.notes.filter((note) => slots.has(note.slot)).map((note) => note.answeredAt ?? 0),
  );
}

/** Up to when the teacher has seen a page. */
export const seenUpTo = (copy: Copy, page: Page, seen: Seen): number => seen[keyOf(copy, page)] ?? 0;

export const isFresh = (copy: Copy, page: Page, seen: Seen): boolean =>
  newestOn(copy, page) > seenUpTo(copy, page, seen);

/** All of this has been looked at now. */
export function looked(seen: Seen, what: { copy: Copy; page: Page }[]): Seen {
  return {
    ...seen,
    ...Object.fromEntries(what.map(({ copy, page }) => [keyOf(copy, page), newestOn(copy, page)])),
  };
}

export function loadSeen(roundId: string): Seen {
  try {
    return JSON.parse(localStorage.getItem(`seen.${roundId}`) ?? '{}') as Seen;
  } catch {
    return {};
  }
}

export function storeSeen(roundId: string, seen: Seen): void {
  try {
    localStorage.setItem(`seen.${roundId}`, JSON.stringify(seen));
  } catch {
    // A browser that keeps nothing shows all as new after a reload.
  }
}
