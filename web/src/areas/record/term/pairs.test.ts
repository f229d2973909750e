import { expect, test } from 'vitest';
import { pairsOf } from './pairs';

const pairs = pairsOf(4, [
  [0, 1, 3],
  [0, 2, 1],
  [1, 2, 2],
]);

test('it does not matter who of two is asked about', () => {
  expect([pairs.times(0, 1), pairs.times(1, 0)]).toEqual([3, 3]);
  expect(pairs.times(3, 0)).toBe(0);
});

test('those somebody was never with, and those they were, most often first', () => {
  expect(pairs.never(0)).toEqual([3]);
  expect(pairs.never(3)).toEqual([0, 1, 2]);
  expect(pairs.often(2)).toEqual([
    { other: 1, times: 2 },
    { other: 0, times: 1 },
  ]);
});

test('nobody is somebody they could have been with', () => {
  expect(pairs.never(1)).toEqual([3]);
  expect(pairsOf(1, []).never(0)).toEqual([]);
});

test('depth is measured by the most any two were together', () => {
  expect(pairs.most).toBe(3);
  expect(pairsOf(3, []).most).toBe(0);
});
