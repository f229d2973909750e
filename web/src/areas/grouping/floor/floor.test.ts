import { describe, expect, it } from 'vitest';
import { foresee, type FloorView } from './floorMoves';
import { nearest } from './layout/nearest';

const floor: FloorView = {
  id: 'f',
  name: 'F',
  step: 1,
  undo: null,
  redo: null,
  fixed: ['b'],
  groups: [
    { id: 'g1', name: 'One', number: 1, mark: 0, students: ['a', 'b'] },
    { id: 'g2', name: 'Two', number: 2, mark: 1, students: ['c'] },
  ],
};
const seats = (view: FloorView) => view.groups.map((group) => group.students.join(''));

describe('a floor as it will look', () => {
  it('moves', () => expect(seats(foresee(floor, { kind: 'seat', student: 'a', group: 'g2' }))).toEqual(['b', 'ca']));
  it('seats from the shelf', () =>
    expect(seats(foresee(floor, { kind: 'seat', student: 'z', group: 'g1' }))).toEqual(['abz', 'c']));
  it('leaves who sits there', () =>
    expect(seats(foresee(floor, { kind: 'seat', student: 'a', group: 'g1' }))).toEqual(['ab', 'c']));
  it('swaps', () => expect(seats(foresee(floor, { kind: 'swap', student: 'a', other: 'c' }))).toEqual(['cb', 'a']));
  it('swaps with the shelf', () =>
    expect(seats(foresee(floor, { kind: 'swap', student: 'z', other: 'c' }))).toEqual(['ab', 'z']));
  it('shelves and frees', () => {
    const view = foresee(floor, { kind: 'shelve', student: 'b' });
    expect([seats(view), view.fixed]).toEqual([['a', 'c'], []]);
  });
  it('leaves to the server what it cannot know', () => expect(foresee(floor, { kind: 'addTable' })).toBe(floor));
});

describe('arrows go to what lies nearest that way', () => {
  const box = (x: number, y: number) => ({ left: x, right: x + 10, top: y, bottom: y + 10 });
  const boxes = [box(0, 0), box(100, 0), box(0, 100), box(100, 100), box(60, 110)];
  it('right', () => expect(nearest(box(0, 0), boxes, 'ArrowRight')).toBe(1));
  it('down', () => expect(nearest(box(0, 0), boxes, 'ArrowDown')).toBe(2));
  it('left', () => expect(nearest(box(100, 100), boxes, 'ArrowLeft')).toBe(4));
  it('nothing there', () => expect(nearest(box(0, 0), boxes, 'ArrowUp')).toBe(-1));
});
