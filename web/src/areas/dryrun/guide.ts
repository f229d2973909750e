// What comes next for somebody who practises for the first time: from sending out to calling back.
import type { Schema } from '../../api/client';
import type { Phase } from '../live/phase';

export type Step = 'wait' | 'sendOut' | 'look' | 'visit' | 'with' | 'answer' | 'callBack' | 'comeBack' | 'done';

/** Of the class, who have to be there before groups are worth sending out. */
const enough = 0.5;

/** What has been done in this practice. */
export interface Done {
  /** A group has asked for help. */
  asked: boolean;
  /** Somebody has gone to a group that asked. */
  answered: boolean;
}

export const nothingDone: Done = { asked: false, answered: false };

type Lesson = Pick<Schema['LessonView'], 'signals' | 'students'>;

/** What has been done now that the page shows this. */
export function doneAfter(done: Done, lesson: Lesson): Done {
  const isAsking = lesson.signals.some((group) => group.call !== null);
  const isVisited = lesson.signals.some((group) => group.visits > 0 || group.visitor !== null);
  const now = {
    asked: done.asked || isAsking,
    answered: done.answered || (done.asked && !isAsking && isVisited),
  };
  return now.asked === done.asked && now.answered === done.answered ? done : now;
}

export function stepOf(lesson: Lesson, phase: Phase, done: Done): Step {
  switch (phase) {
    case 'planned': {
      const here = lesson.students.filter((student) => student.claimed).length;
      return here < enough * lesson.students.length ? 'wait' : 'sendOut';
    }
    case 'looking':
      return 'look';
    case 'out':
      if (lesson.signals.some((group) => group.call !== null)) return 'answer';
      if (lesson.signals.some((group) => group.visitor !== null)) return 'with';
      return done.answered ? 'callBack' : 'visit';
    case 'comingBack':
      return 'comeBack';
    case 'back':
      return 'done';
  }
}
