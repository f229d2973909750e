import { describe, expect, it } from 'vitest';
import { heightOf, layOut } from './wallLayout';

const groups = (n: number, each = 5) =>
  Array.from({ length: n }, (_, i) => ({
    name: `Group ${i + 1}`,
    names: Array.from({ length: each }, (__, k) => `Student ${i}-${k}`),
  }));
/** What is left under the head of a class page of 1280 by 720. */
const wall = [1240, 580] as const;

describe('groups on a wall', () => {
  it('stand on one page as large as they fit', () => {
    const few = layOut(groups(2, 3), ...wall);
    const six = layOut(groups(6), ...wall);
    expect(few.pages).toHaveLength(1);
    expect(few.size).toBeGreaterThan(six.size);
    expect(six.pages).toHaveLength(1);
    expect(six.columns).toBe(3);
    expect(six.size).toBeGreaterThanOrEqual(28);
  });

  it('stand on one page, too, where they are twelve of four', () => {
    const twelve = layOut(groups(12, 4), ...wall);
    expect(twelve.pages).toHaveLength(1);
    expect(twelve.size).toBeGreaterThanOrEqual(20);
  });

  it('are never smaller than can be read from the back where they take several pages', () => {
    expect(layOut(groups(40, 4), ...wall)).toMatchObject({ size: 28 });
  });

  it('go on over more pages, each group once, in order and whole', () => {
    for (const n of [0, 1, 6, 12, 30, 40]) {
      for (const each of [0, 1, 4, 9]) {
        const all = groups(n, each);
        const { pages } = layOut(all, ...wall);
        expect(pages.flat()).toEqual(all);
      }
    }
  });

  it('a group that is higher than the wall stands there all the same', () => {
    const { pages } = layOut(groups(1, 60), ...wall);
    expect(pages.flat()).toHaveLength(1);
  });

  it('a long name takes two lines', () => {
    const short = { name: 'A', names: ['Ada'] };
    const long = { name: 'A', names: ['Maximiliana Abernethy-Cole of Upper Larkmouth'] };
    expect(heightOf(long, 28, 280)).toBeGreaterThan(heightOf(short, 28, 280));
  });
});
