import type { Schema } from '../../api/client';
import { list, words } from '../../words';

type Lesson = Pick<Schema['LessonView'], 'className' | 'floor' | 'handOut' | 'students'>;

/** What of a lesson has no place in one that was begun from it for another class, in sentences. */
export function notCarried(from: Lesson, to: Lesson): string[] {
  const said: string[] = [];
  const there = to.floor.groups.length;
  const lost = from.floor.groups.slice(there);
  if (to.students.length === 0) said.push(words.give.nobody(to.className));
  else if (there === 0 && from.floor.groups.length > 0) said.push(words.give.noGroups(to.className));
  const meant = lost.filter((group) =>
    from.handOut.some((row) => row.cells.some((cell) => cell.group === group.id && cell.way !== 'nothing')),
  );
  if (there > 0 && meant.length > 0)
    said.push(words.give.fewer(there, from.floor.groups.length, list(meant.map((group) => group.name))));
  const more = to.floor.groups.slice(from.floor.groups.length);
  if (from.floor.groups.length > 0 && more.length > 0 && from.handOut.some((row) => row.cells.length > 0))
    said.push(words.give.more(list(more.map((group) => group.name))));
  for (const { by, title } of to.students.length === 0 ? [] : from.handOut) {
    const isSaid = to.students.some((student) => student.attributes.some((one) => one.name === by?.attribute));
    if (by != null && !isSaid) said.push(words.give.noAttribute(to.className, by.attribute, title));
  }
  said.push(words.give.ownRooms);
  return said;
}
