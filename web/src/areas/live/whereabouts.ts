// Where students are, in words, and who is missing.
import type { Schema } from '../../api/client';
import * as m from '#messages';
import { placeOf } from '../grouping/floor/NameTag';

type Lesson = Schema['LessonView'];
type Student = Schema['SeatedStudent'];

/** Where a student is and how that is known, in words. */
export function noteOf(lesson: Lesson, student: Student): string {
  const { place, because, at } = student;
  if (lesson.endedAt !== null)
    return place === 'excused'
      ? m.live_place({ key: 'excused' })
      : place === 'inPlace'
        ? m.live_wasThere()
        : m.live_wasNotThere();
  const shown = placeOf(student);
  if (place === 'inPlace' || shown === 'excused' || shown === 'notArrived') return m.live_place({ key: shown });
  const group = at === null ? undefined : lesson.floor.groups.find((one) => one.id === at);
  const room = lesson.rooms.find((one) => one.id === at);
  const name = group?.name ?? room?.name;
  const seen = at === 'main' ? m.live_inMain() : name === undefined ? m.live_inOther() : m.live_inGroup({ name });
  return `${m.live_place({ key: place })}: ${at === null ? m.live_because({ key: because }) : seen}`;
}

/** Where a student is to be or is seen instead of at their table, as short as a tag has room for; '' at their table. */
export function awayText(lesson: Lesson, student: Student): string {
  const nameOf = (place: string) =>
    place === 'main'
      ? m.live_mainShort()
      : (lesson.floor.groups.find((one) => one.id === place)?.name ??
        lesson.rooms.find((one) => one.id === place)?.name ??
        '');
  if (student.aside !== null) return m.live_toBe({ place: nameOf(student.aside) });
  return student.place === 'elsewhere' && student.at !== null ? m.live_seenAt({ place: nameOf(student.at) }) : '';
}

/** Those who count today: on the list, seated (while groups are out), not absent. */
export function expected(lesson: Lesson, out: boolean): Student[] {
  const seated = new Set(lesson.floor.groups.flatMap((group) => group.students));
  return lesson.students.filter((student) => student.place !== 'excused' && (!out || seated.has(student.id)));
}

const order: Record<ReturnType<typeof placeOf>, number> = {
  lost: 0,
  elsewhere: 1,
  leftBehind: 2,
  onTheWay: 3,
  notArrived: 4,
  inPlace: 5,
  excused: 6,
};

/** Those who are not in place, the most pressing first. */
export function missing(students: Student[]): Student[] {
  return students
    .filter((student) => student.place !== 'inPlace')
    .sort((a, b) => order[placeOf(a)] - order[placeOf(b)]);
}
