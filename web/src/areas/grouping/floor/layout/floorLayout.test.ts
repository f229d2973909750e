import { describe, expect, it } from 'vitest';
import { floorLayout, narrowTable, roundTable } from './floorLayout';

/** What is left for the floor beside the panel, by the width of the screen. */
const floors: Record<1280 | 1920 | 2560, [number, number]> = {
  1280: [900, 500],
  1920: [1540, 780],
  2560: [2180, 1140],
};

describe('the groups on the floor', () => {
  it('stand in balanced rows: six at 1920 are 3 by 2', () => {
    expect(floorLayout(6, roundTable(5, 2), ...floors[1920]).columns).toBe(3);
    expect(floorLayout(6, roundTable(5, 2), ...floors[1280]).columns).toBe(3);
  });

  it('grow with the screen', () => {
    for (const [groups, table] of [
      [6, roundTable(5, 2)],
      [12, roundTable(4, 2)],
      [30, narrowTable(4)],
      [40, narrowTable(4)],
    ] as const) {
      const scales = ([1280, 1920, 2560] as const).map((width) => floorLayout(groups, table, ...floors[width]).scale);
      expect(scales).toEqual([...scales].sort((one, other) => one - other));
      expect(scales[2]).toBeGreaterThan(1.2);
    }
  });

  it('never leave a row that is less than half full where another way fits as well', () => {
    for (let groups = 1; groups <= 40; groups++)
      for (const floor of Object.values(floors)) {
        const { columns, scale } = floorLayout(groups, roundTable(4, 2), ...floor);
        const rows = Math.ceil(groups / columns);
        expect(columns * rows - groups).toBeLessThan(rows);
        expect(scale).toBeGreaterThanOrEqual(1);
        expect(scale).toBeLessThanOrEqual(2);
      }
  });
});
