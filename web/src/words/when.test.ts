import { describe, expect, it } from 'vitest';
import { dayOf, forInput, fromInput, soon } from './when';

describe('dates of lessons', () => {
  it('a moment comes back from its field as it was, to the minute', () => {
    for (const at of [Date.UTC(2026, 0, 1, 0, 5), Date.UTC(2026, 2, 29, 1, 30), Date.UTC(2027, 9, 31, 23, 59)])
      expect(fromInput(forInput(at))).toBe(at);
    expect(fromInput('')).toBeNull();
  });

  it('the whole day is one day', () => {
    const noon = new Date(2026, 10, 25, 12).getTime();
    expect(dayOf(noon)).toBe(dayOf(new Date(2026, 10, 25, 23, 59).getTime()));
    expect(dayOf(noon)).not.toBe(dayOf(new Date(2026, 10, 26).getTime()));
  });

  it('soon is the next full five minutes', () => {
    expect(soon(Date.UTC(2026, 0, 1, 10, 1))).toBe(Date.UTC(2026, 0, 1, 10, 5));
    expect(soon(Date.UTC(2026, 0, 1, 10, 5))).toBe(Date.UTC(2026, 0, 1, 10, 5));
  });
});
