// Students who have arrived and have no group.
import type { Schema } from '../../../api/client';
import { hasArrived } from '../../grouping/floor/NameTag';

type Lesson = Pick<Schema['LessonView'], 'floor' | 'students'>;

/** Students who have arrived and aren't in a group. */
export function lateStudents({ floor, students }: Lesson): Schema['SeatedStudent'][] {
  const inGroups = new Set(floor.groups.flatMap((group) => group.students));
  return students.filter((one) => hasArrived(one) && !one.absent && !inGroups.has(one.id));
}
