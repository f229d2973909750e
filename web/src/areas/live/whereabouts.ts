import type { Schema } from '../../api/client';
import { words } from '../../words';
import { placeOf } from '../grouping/NameTag';

type Lesson = Schema['LessonView'];
type Student = Schema['SeatedStudent'];

/** Where a student is and how that is known, in words. */
export function noteOf(lesson: Lesson, student: Student): string {
  const { place, because, at } = student;
  if (lesson.endedAt !== null)
    return place === 'excused'
      ? words.live.place.excused
      : place === 'inPlace'
        ? words.live.wasThere
        : words.live.wasNotThere;
  const shown = placeOf(student);
  if (place === 'inPlace' || shown === 'excused' || shown === 'notArrived') return words.live.place[shown];
  const group = at === null ? undefined : lesson.floor.groups.find((one) => one.id === at);
  const room = lesson.rooms.find((one) => one.id === at);
  const name = group?.name ?? room?.name;
  const seen = at === 'main' ? words.live.inMain : name === undefined ? words.live.inOther : words.live.inGroup(name);
  return `${words.live.place[place]}: ${at === null ? words.live.because[because] : seen}`;
}

/** Where a student is to be or is seen instead of at their table, as short as a tag has room for; '' at their table. */
export function awayText(lesson: Lesson, student: Student): string {
  const nameOf = (place: string) =>
    place === 'main'
      ? words.live.mainShort
      : (lesson.floor.groups.find((one) => one.id === place)?.name ??
        lesson.rooms.find((one) => one.id === place)?.name ??
        '');
  if (student.aside !== null) return words.live.toBe(nameOf(student.aside));
  return student.place === 'elsewhere' && student.at !== null ? words.live.seenAt(nameOf(student.at)) : '';
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
