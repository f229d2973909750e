// Where a student was, as stretches of time.
import type { RecordView, StudentRecord } from './figures';

export type Kind = RecordView['kinds'][number];
export interface Span {
  from: number;
  to: number;
  kind: Kind;
  group: string | null;
}

/** The spans of a strip, which comes in few numbers (StripCode). */
export function spansOf(
  student: Pick<StudentRecord, 'strip'>,
  record: Pick<RecordView, 'begunAt' | 'until' | 'kinds' | 'groupIds'>,
): Span[] {
  return student.strip.map(([after = 0, kind = 0, group = -1], i) => {
    const next = student.strip[i + 1]?.[0];
    return {
      from: record.begunAt + after,
      to: next === undefined ? record.until : record.begunAt + next,
      kind: record.kinds[kind] ?? 'away',
      group: record.groupIds[group] ?? null,
    };
  });
}

/** The last of what is in the order of time that had begun by then; O(log n). */
export function lastBy<T>(all: T[], moment: number, from: (one: T) => number): T | undefined {
  let [low, high] = [0, all.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    const one = all[middle];
    if (one !== undefined && from(one) <= moment) low = middle + 1;
    else high = middle;
  }
  return all[low - 1];
}
