import { describe, expect, it } from 'vitest';
import { Pace, queued } from './pace';

function after(...waits: number[]): Pace {
  const pace = new Pace();
  for (const ms of waits) pace.note(ms);
  return pace;
}

describe('how often a page sends', () => {
  it('is as usual while the server is quick', () => {
    expect(after().wait(600)).toBe(600);
    expect(after(0, 12, 30, 39).wait(600)).toBe(600);
  });

  it('is hardly changed by one request that waited', () => {
    expect(after(0, 0, 80, 0).wait(600)).toBe(600);
  });

  it('is less where the server stays late, and for what is rare anyway not at all', () => {
    const pace = after(...Array<number>(20).fill(150));
    expect(pace.wait(600)).toBeGreaterThan(1_100);
    expect(pace.wait(15_000)).toBe(15_000);
  });

  it('is never put off for good', () => {
    expect(after(...Array<number>(50).fill(15_000)).wait(600)).toBe(4_800);
  });

  it('is as usual again soon after the server is', () => {
    expect(after(...Array<number>(20).fill(500), ...Array<number>(10).fill(0)).wait(600)).toBe(600);
  });
});

describe('what an answer says of its wait', () => {
  const said = (timing?: string) => queued(new Headers(timing === undefined ? {} : { 'Server-Timing': timing }));

  it('is read from Server-Timing, and nothing else is', () => {
    expect(said('queue;dur=123')).toBe(123);
    expect(said('cache;desc="x", queue;dur=7')).toBe(7);
    expect(said()).toBe(0);
    expect(said('total;dur=900')).toBe(0);
  });
});
