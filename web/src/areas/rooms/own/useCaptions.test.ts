// What is said in a room stands once, in order, however it came.
import { expect, it } from 'vitest';
import { together } from './useCaptions';

const line = (id: number, text = `line ${id}`) => ({ id, text, at: id });

it('is put together from what was asked for and what was told, each line once and in order', () => {
  expect(together([line(3), line(1)], [line(2), line(3)]).map(({ id }) => id)).toEqual([1, 2, 3]);
});
it('keeps the last thirty lines', () => {
  const many = Array.from({ length: 40 }, (_, i) => line(i + 1));
  expect(together(many, []).map(({ id }) => id)).toEqual(many.slice(10).map(({ id }) => id));
});
