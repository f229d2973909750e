// Where the round that is shown stands, and what the page may do because of it.
import { useByTime } from '../../../api/clock';
import type { Schema } from '../../../api/client';
import { phaseOf } from '../phase';

const hours = 3_600_000;

/** Whether students may be waiting for it already. */
const isSoon = (lesson: Schema['LessonView'], at: number) =>
  lesson.other !== null || Math.abs((lesson.startsAt ?? 0) - at) < 12 * hours;

export function useStanding(lesson: Schema['LessonView']) {
  const isNow = lesson.round.id === lesson.roundNow.id;
  const phase = useByTime((at) => (isNow ? phaseOf(lesson.round.moments, at) : 'planned'));
  const soon = useByTime((at) => isSoon(lesson, at), 60_000);
  const over = lesson.endedAt !== null;
  const live = over || phase !== 'planned';
  return {
    /** The round shown is the one the lesson is in or comes to next. */
    isNow,
    phase,
    soon,
    over,
    /** Groups are out, or were. */
    live,
    /** Groups are out now. */
    working: !over && live && phase !== 'back',
  };
}
