// Who sits where on a floor, to be looked up.
import type { Schema } from '../../../api/client';
import * as m from '#messages';
import type { Student } from './NameTag';
import type { Group, Guest } from './Table';

/**
 * A stop is where a tag can be put and where the focus goes: `table:` and the id of a group, `tag:` and the id of a
 * student, `shelf`. Complexity: O(students + groups), once.
 */
export function seatingOf(floor: Schema['FloorView'], students: Student[]) {
  const byId = new Map(students.map((student) => [student.id, student]));
  const groups = new Map(floor.groups.map((group) => [group.id, group]));
  const seatedAt = new Map(floor.groups.flatMap((group) => group.students.map((id) => [id, group] as const)));
  return {
    student: (id: string) => byId.get(id),
    nameOf: (id: string) => byId.get(id)?.name ?? '',
    groupName: (id: string) => groups.get(id)?.name ?? '',
    /** The group a student sits in. */
    groupOf: (student: string) => seatedAt.get(student),
    /** The id of the group of a stop: itself, or the one a tag sits at; '' for none. */
    groupAtStop: (stop: string) => {
      const [kind, id = ''] = stop.split(':');
      return kind === 'table' ? id : (seatedAt.get(id)?.id ?? '');
    },
    studentsAt: (group: Group) => group.students.flatMap((id) => byId.get(id) ?? []),
    /** Those who belong elsewhere and are seen at this table. */
    guestsAt: (group: Group): Guest[] =>
      students
        .filter((student) => student.place === 'elsewhere' && student.at === group.id)
        .map((student) => ({ student, from: seatedAt.get(student.id)?.name ?? m.floor_shelf() })),
    unseated: students.filter((student) => !seatedAt.has(student.id)),
    fixed: new Set(floor.fixed),
    stops: new Set([
      'shelf',
      ...floor.groups.map((group) => `table:${group.id}`),
      ...students.map(({ id }) => `tag:${id}`),
    ]),
  };
}

export type Seating = ReturnType<typeof seatingOf>;
