import { describe, expect, it } from 'vitest';
import { Pace, paceIn } from './pace';

function told(ms: number): Pace {
  const pace = new Pace();
  pace.note(ms);
  return pace;
}

describe('how often a page sends', () => {
  it('is as usual while the server says nothing', () => {
    expect(new Pace().wait(600)).toBe(600);
    expect(told(0).wait(600)).toBe(600);
  });

  it('is about as often as the server says, and not at the same moment as all others', () => {
    const waits = Array.from({ length: 500 }, () => told(4_000).wait(250));
    expect(Math.min(...waits)).toBeGreaterThanOrEqual(3_000);
    expect(Math.max(...waits)).toBeLessThanOrEqual(5_000);
    expect(new Set(waits).size).toBeGreaterThan(100);
  });

  it('is not changed for what is rarer anyway', () => {
    expect(told(4_000).wait(15_000)).toBe(15_000);
  });

  it('is as usual again as soon as the server says so', () => {
    const pace = told(15_000);
    pace.note(0);
    expect(pace.wait(250)).toBe(250);
  });
});

describe('the pace an answer tells', () => {
  const said = (value?: string) => paceIn(new Headers(value === undefined ? {} : { Pace: value }));

  it('is a number of milliseconds; anything else is none', () => {
    expect(said('1250')).toBe(1_250);
    expect(['', '-5', '1e9', '99999999', 'soon'].map(said)).toEqual([0, 0, 0, 0, 0]);
    expect(said()).toBe(0);
  });
});
