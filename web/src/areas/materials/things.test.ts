import { describe, expect, it } from 'vitest';
import { between, things, without, written } from './things';

describe('what slots hold that hold things', () => {
  it('the same is written the same, whatever came first', () => {
    expect(written({ b: { under: 'h', place: 1 }, a: true })).toBe('{"a":true,"b":{"place":1,"under":"h"}}');
    expect(written({})).toBe('');
    expect(things('')).toEqual({});
    expect(things('not JSON')).toEqual({});
    expect(without({ a: 1, b: 2 }, 'a')).toEqual({ b: 2 });
  });

  it('there is always a place between two, before and behind', () => {
    expect([
      between(undefined, undefined),
      between(1, undefined),
      between(undefined, 1),
      between(1, 2),
      between(1, 1.5),
    ]).toEqual([1, 2, 0, 1.5, 1.25]);
  });
});
