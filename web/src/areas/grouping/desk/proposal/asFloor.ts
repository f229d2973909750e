import type { Schema } from '../../../../api/client';
import type { Student } from '../../floor/NameTag';

/** A plan knows nobody's whereabouts. */
export function asSeated(student: Schema['DeskStudent']): Student {
  return {
    id: student.id,
    name: student.name,
    absent: student.absent,
    claimed: false,
    place: 'lost',
    because: 'never',
    at: null,
    table: student.table,
    attributes: student.attributes,
    tags: student.tags,
    help: null,
    aside: null,
    asideFrom: null,
    fetchedAt: null,
  };
}

/** A proposed round drawn as a floor. */
export function asFloor(floor: Schema['FloorView'], round: Schema['ProposedRound']): Schema['FloorView'] {
  const marks = new Map(floor.groups.map((group) => [group.id, group.mark]));
  const used = new Set(marks.values());
  return {
    ...floor,
    groups: round.groups.map((group, i) => {
      let mark = group.id === null ? undefined : marks.get(group.id);
      if (mark === undefined) {
        mark = 0;
        while (used.has(mark)) mark++;
        used.add(mark);
      }
      return { id: group.id ?? `new${i}`, name: group.name, number: i + 1, mark, students: group.students };
    }),
  };
}
