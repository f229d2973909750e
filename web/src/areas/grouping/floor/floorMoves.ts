// What a move makes of a floor, before the server has answered.
import type { Schema } from '../../../api/client';

export type FloorView = Schema['FloorView'];
export type Edit = Omit<Schema['EditFloor'], 'basedOn'>;

const without = (students: string[], student: string) => students.filter((one) => one !== student);

/**
 * The floor as it will look after an edit, so that a tag lies where it was put while the server is being asked. The
 * server's answer replaces it; core has the rules.
 */
export function foresee(floor: FloorView, edit: Edit): FloorView {
  const { kind, student, other, group } = edit;
  const groups = floor.groups;
  if (kind === 'seat' && student != null && group != null) {
    return {
      ...floor,
      groups: groups.map((one) => {
        if (one.id !== group) return { ...one, students: without(one.students, student) };
        return one.students.includes(student) ? one : { ...one, students: [...one.students, student] };
      }),
    };
  }
  if (kind === 'shelve' && student != null) {
    return {
      ...floor,
      fixed: without(floor.fixed, student),
      groups: groups.map((one) => ({ ...one, students: without(one.students, student) })),
    };
  }
  if (kind === 'swap' && student != null && other != null) {
    const exchange = (one: string) => (one === student ? other : one === other ? student : one);
    return { ...floor, groups: groups.map((one) => ({ ...one, students: one.students.map(exchange) })) };
  }
  if (kind === 'fix' && student != null) return { ...floor, fixed: [...floor.fixed, student] };
  if (kind === 'free' && student != null) return { ...floor, fixed: without(floor.fixed, student) };
  return floor;
}
