import { describe, expect, it } from 'vitest';
import type { Schema } from '../../../../api/client';
import { asFloor } from './asFloor';

const table = (id: string, mark: number, students: string[]): Schema['GroupView'] => ({
  id,
  name: id,
  number: mark + 1,
  mark,
  students,
});
const floor = (...groups: Schema['GroupView'][]): Schema['FloorView'] => ({
  id: 'g',
  name: 'Rivers',
  step: 4,
  undo: null,
  redo: null,
  groups,
  fixed: [],
});

describe('a proposed round drawn as a floor', () => {
  it('keeps the mark of a table that stands here, wherever it comes', () => {
    const drawn = asFloor(floor(table('quay', 0, ['a']), table('mill', 1, ['b'])), {
      name: '',
      groups: [
        { id: 'mill', name: 'Mill', students: ['a'] },
        { id: 'quay', name: 'Quay', students: ['b'] },
      ],
    });
    expect(drawn.groups.map(({ id, mark, number }) => [id, mark, number])).toEqual([
      ['mill', 1, 1],
      ['quay', 0, 2],
    ]);
  });

  it('gives a new table the first mark that no other has, and nobody twice the same', () => {
    const drawn = asFloor(floor(table('quay', 1, [])), {
      name: '',
      groups: [
        { id: null, name: 'One', students: ['a'] },
        { id: 'quay', name: 'Quay', students: ['b'] },
        { id: null, name: 'Two', students: ['c'] },
      ],
    });
    expect(drawn.groups.map((group) => group.mark)).toEqual([0, 1, 2]);
    expect(new Set(drawn.groups.map((group) => group.id)).size).toBe(3);
  });
});
