import { describe, expect, it } from 'vitest';
import { balancedColumns, inRows } from './balancedRows';

describe('balanced rows', () => {
  it('leave nobody alone in the last row where that can be helped', () => {
    expect(balancedColumns(6, 5)).toEqual([3, 2, 1]);
    expect(balancedColumns(12, 5)).toEqual([4, 3, 2, 1]);
    expect(balancedColumns(1, 9)).toEqual([1]);
    expect(balancedColumns(0, 9)).toEqual([]);
  });

  it('never take more columns than their rows need', () => {
    for (let things = 1; things <= 60; things++)
      for (const columns of balancedColumns(things, 60)) {
        const rows = inRows(things === 0 ? [] : Array.from({ length: things }, (_, i) => i), columns);
        expect(rows.flat()).toHaveLength(things);
        expect(Math.ceil(things / (columns - 1 || 1))).toBeGreaterThanOrEqual(rows.length);
        expect(columns - (rows.at(-1)?.length ?? 0)).toBeLessThan(rows.length);
      }
  });
});
