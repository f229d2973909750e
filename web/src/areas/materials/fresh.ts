import type { Schema, Whole } from '../../api/client';

type Copy = Whole<Schema['CopyView']>;

/** How far the teacher has read each copy: the time of the newest answer seen. Kept on this device. */
export type Seen = Record<string, number>;

export function newestAt(copy: Copy): number {
  return Math.max(0, ...copy.answers.map((answer) => answer.at));
}

export function isFresh(copy: Copy, seen: Seen): boolean {
  return newestAt(copy) > (seen[copy.id] ?? 0);
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
