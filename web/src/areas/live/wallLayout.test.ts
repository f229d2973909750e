import { describe, expect, it } from 'vitest';
import { heightOf, layOut } from './wallLayout';

const groups = (n: number, each = 5) =>
  Array.from({ length: n }, (_, i) => ({
    name: `Group ${i + 1}`,
    names: Array.from({ length: each }, (__, k) => `Student ${i}-${k}`),
  }));

describe('groups on a wall', () => {
  it('stand on one page as large as they fit, and never smaller than can be read from the back', () => {
    const few = layOut(groups(2, 3), 1240, 640);
    const six = layOut(groups(6), 1240, 640);
    expect(few.pages).toHaveLength(1);
    expect(few.size).toBeGreaterThan(six.size);
    expect(six.pages).toHaveLength(1);
    expect(layOut(groups(40, 4), 1240, 640).size).toBe(28);
  });

  it('go on over more pages, each group once, in order and whole', () => {
    for (const n of [0, 1, 6, 12, 30, 40]) {
      for (const each of [0, 1, 4, 9]) {
        const all = groups(n, each);
        const { pages } = layOut(all, 1240, 640);
        expect(pages.flat(2)).toEqual(all);
      }
    }
  });

  it('a group that is higher than the wall stands there all the same', () => {
    const { pages } = layOut(groups(1, 60), 1240, 640);
    expect(pages.flat(2)).toHaveLength(1);
  });

  it('a long name takes two lines', () => {
    const short = { name: 'A', names: ['Ada'] };
    const long = { name: 'A', names: ['Maximiliana Abernethy-Cole of Upper Larkmouth'] };
    expect(heightOf(long, 28, 280)).toBeGreaterThan(heightOf(short, 28, 280));
  });
});
