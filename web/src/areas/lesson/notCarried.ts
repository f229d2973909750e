// What a lesson for another class does without, in sentences.
import type { Schema } from '../../api/client';
import * as m from '#messages';
import { list } from '../../words/list';

type Lesson = Pick<Schema['LessonView'], 'className' | 'floor' | 'handOut' | 'students'>;

/** What of a lesson has no place in one that was begun from it for another class, in sentences. */
export function notCarried(from: Lesson, to: Lesson): string[] {
  const said: string[] = [];
  const there = to.floor.groups.length;
  const lost = from.floor.groups.slice(there);
  if (to.students.length === 0) said.push(m.give_nobody({ name: to.className }));
  else if (there === 0 && from.floor.groups.length > 0) said.push(m.give_noGroups({ name: to.className }));
  const meant = lost.filter((group) =>
    from.handOut.some((row) => row.cells.some((cell) => cell.group === group.id && cell.way !== 'nothing')),
  );
  if (there > 0 && meant.length > 0)
    said.push(
      m.give_fewer({ here: there, there: from.floor.groups.length, names: list(meant.map((group) => group.name)) }),
    );
  const more = to.floor.groups.slice(from.floor.groups.length);
  if (from.floor.groups.length > 0 && more.length > 0 && from.handOut.some((row) => row.cells.length > 0))
    said.push(m.give_more({ names: list(more.map((group) => group.name)) }));
  for (const { by, title } of to.students.length === 0 ? [] : from.handOut) {
    const isSaid = to.students.some((student) => student.attributes.some((one) => one.name === by?.attribute));
    if (by != null && !isSaid) said.push(m.give_noAttribute({ name: to.className, attribute: by.attribute, title }));
  }
  said.push(m.give_ownRooms());
  return said;
}
