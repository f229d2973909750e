import { describe, expect, it } from 'vitest';
import { fitted, withEdge, withNew, withPlace } from './orderMoves';

const order = (...minutes: number[]) => minutes.map((n) => ({ kind: 'round' as const, minutes: n }));
const minutes = (segments: { minutes: number }[]) => segments.map((segment) => segment.minutes);

describe('a running order in the hand', () => {
  it('an edge moves time between neighbours, and neither gets shorter than a minute', () => {
    expect(minutes(withEdge(order(10, 20, 15), 0, 4))).toEqual([14, 16, 15]);
    expect(minutes(withEdge(order(10, 20, 15), 0, 99))).toEqual([29, 1, 15]);
    expect(minutes(withEdge(order(10, 20, 15), 1, -99))).toEqual([10, 1, 34]);
  });

  it('the last edge makes the lesson longer or shorter', () => {
    expect(minutes(withEdge(order(10, 20), 1, 5))).toEqual([10, 25]);
    expect(minutes(withEdge(order(10, 20), 1, -50))).toEqual([10, 1]);
  });

  it('a segment goes to another place, and nowhere beyond the ends', () => {
    expect(withPlace(['a', 'b', 'c'], 0, 2)).toEqual(['b', 'c', 'a']);
    expect(withPlace(['a', 'b', 'c'], 2, 0)).toEqual(['c', 'a', 'b']);
    expect(withPlace(['a', 'b', 'c'], 2, 3)).toEqual(['a', 'b', 'c']);
  });

  it('a new one takes the time that is free', () => {
    expect(withNew(order(10), 'alone', 9).at(-1)).toEqual({ kind: 'alone', minutes: 9 });
    expect(withNew(order(10), 'alone', 0).at(-1)?.minutes).toBe(5);
    expect(withNew(order(10), 'pause', 60).at(-1)?.minutes).toBe(5);
    const ends = [...order(10), { kind: 'shareOut' as const, minutes: 5 }];
    expect(withNew(ends, 'round', 0).map((one) => one.kind)).toEqual(['round', 'round', 'shareOut']);
    expect(withNew(ends, 'shareOut', 0).map((one) => one.kind)).toEqual(['round', 'shareOut', 'shareOut']);
  });

  it('made to fit, it adds up to the lesson', () => {
    for (let lesson = 3; lesson <= 120; lesson++)
      expect(minutes(fitted(order(10, 20, 15), lesson)).reduce((a, b) => a + b)).toBe(lesson);
    expect(minutes(fitted(order(1, 1, 1), 10))).toEqual([4, 3, 3]);
  });
});
