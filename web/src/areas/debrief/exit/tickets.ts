// The worksheets everybody answers alone, so far as the lesson has come to them, and who has answered.
import type { Schema } from '../../../api/client';
import type { SumView } from '../sum/SumPicture';

export interface ExitTicket {
  segment: string;
  original: string;
  title: string;
  round: string;
  closesAt: number | null;
}

/** Those the lesson has come to; of one that is over all that were in its order. */
export function ticketsOf(lesson: Pick<Schema['LessonView'], 'alone' | 'order' | 'endedAt'>): ExitTicket[] {
  const { segments, now } = lesson.order;
  const at = segments.findIndex((one) => one.id === now);
  return lesson.alone.flatMap(({ segment, original, title, round }) => {
    const place = segments.findIndex((one) => one.id === segment);
    const found = segments[place];
    return found === undefined || (lesson.endedAt === null && (at < 0 || place > at))
      ? []
      : [{ segment, original, title, round, closesAt: found.closesAt ?? null }];
  });
}

/** Who has answered at least one question of a worksheet, of all whose it is, and the names of the others. */
export function answeredOf(sums: SumView[], original: string): { answered: number; all: number; missing: string[] } {
  const all = new Map<string, string>();
  const answered = new Set<string>();
  for (const sum of sums.filter((one) => one.original === original)) {
    const missing = new Set(sum.missing);
    for (const [i, source] of sum.sources.entries()) {
      all.set(source.id, source.name);
      if (!missing.has(i)) answered.add(source.id);
    }
  }
  return {
    answered: answered.size,
    all: all.size,
    missing: [...all].filter(([id]) => !answered.has(id)).map(([, name]) => name),
  };
}
