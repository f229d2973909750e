import { describe, expect, it } from 'vitest';
import { pageStarts } from './pageStarts';

const lines = (n: number, height: number) =>
  Array.from({ length: n }, (_, i) => ({ top: i * height, bottom: (i + 1) * height }));

describe('pages of what is too tall', () => {
  it('are one where all fits', () => {
    expect(pageStarts(lines(5, 40), 200, 200)).toEqual([0]);
    expect(pageStarts([], 200, 0)).toEqual([0]);
    expect(pageStarts(lines(3, 40), 0, 120)).toEqual([0]);
  });

  it('begin with the first line that would have been cut', () => {
    expect(pageStarts(lines(10, 40), 150, 400)).toEqual([0, 120, 240, 360]);
  });

  it('cut what is taller than a page, and go on', () => {
    expect(pageStarts([{ top: 0, bottom: 500 }], 200, 500)).toEqual([0, 200, 400]);
  });

  it('show everything, and cut no line that fits', () => {
    for (let height = 30; height < 300; height += 7) {
      const pieces = lines(20, 33);
      const starts = pageStarts(pieces, height, 660);
      for (const [i, start] of starts.entries()) {
        expect(start).toBeGreaterThan(i === 0 ? -1 : (starts[i - 1] ?? 0));
        expect((starts[i + 1] ?? 660) - start).toBeLessThanOrEqual(height);
        const next = starts[i + 1];
        if (next !== undefined && height >= 33) expect(next % 33).toBe(0);
      }
    }
  });
});
