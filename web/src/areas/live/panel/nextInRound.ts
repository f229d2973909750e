// What comes next while groups are out.
import type { Schema } from '../../../api/client';
import type { Phase } from '../phase';

type Lesson = Pick<Schema['LessonView'], 'signals' | 'visits'> & {
  round: { moments: Pick<Schema['LessonView']['round']['moments'], 'endsAt' | 'pausedAt'> };
};

/** In the last minute of a round, calling everyone back comes next. Milliseconds. */
const nearlyOver = 60_000;

/**
 * What the teacher does next while groups are at work: call everyone back when the time is nearly up or every group is
 * done, otherwise visit the next group.
 */
export function nextInRound(
  { signals, visits, round }: Lesson,
  phase: Phase,
  now: number,
): 'visit' | 'callBack' | null {
  if (phase !== 'out') return null;
  const { endsAt, pausedAt } = round.moments;
  if (endsAt !== null && pausedAt === null && endsAt - now <= nearlyOver) return 'callBack';
  const here = signals.filter((one) => !one.nobody);
  if (here.length > 0 && here.every((one) => one.done && one.call === null)) return 'callBack';
  return visits.length > 0 ? 'visit' : 'callBack';
}
