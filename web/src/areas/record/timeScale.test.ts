import { describe, expect, it } from 'vitest';
import { timeScale } from './timeScale';

const minute = 60_000;

describe('a lesson as a line of time', () => {
  it('begins at 0 and ends at 100, and nothing stands outside', () => {
    const scale = timeScale(1_000, 2_000);
    expect([scale.at(1_000), scale.at(1_500), scale.at(2_000)]).toEqual([0, 50, 100]);
    expect([scale.at(0), scale.at(9_000)]).toEqual([0, 100]);
    expect(scale.width(1_200, 1_300)).toBeCloseTo(10);
  });

  it('names a few moments, a whole number of minutes apart', () => {
    for (const minutes of [1, 5, 20, 50, 120, 600]) {
      const { ticks } = timeScale(0, minutes * minute);
      expect(ticks.length).toBeLessThanOrEqual(10);
      for (const tick of ticks) expect(tick % minute).toBe(0);
    }
    expect(timeScale(0, 50 * minute).ticks[0]).toBe(5 * minute);
  });

  it('a lesson of no length is no division by nothing', () => {
    expect(timeScale(5, 5).at(5)).toBe(0);
  });
});
