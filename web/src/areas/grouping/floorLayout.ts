import { balancedColumns } from '../../ui/balancedRows';

/** A table as it is drawn at its usual size, in pixels, with the space around it. */
export interface TableSize {
  width: number;
  height: number;
}

/** How groups stand on the floor: so many beside each other, and how much larger than usual. */
export interface FloorLayout {
  columns: number;
  /** 1 to 2. */
  scale: number;
}

/** Type grows with the space up to twice its usual size. */
const largest = 2;

/** Tables of a group with seats all round: `largestGroup` seats, `above` of them above the table, two beside each other. */
export const roundTable = (largestGroup: number, above: number): TableSize => ({
  width: 280,
  height: 44 * (Math.ceil(above / 2) + Math.ceil((largestGroup - above) / 2)) + 44 + 16 + 12 + 28,
});

/** Tables of many groups: names under each other. */
export const narrowTable = (largestGroup: number): TableSize => ({ width: 168, height: 50 + 27 * largestGroup + 20 });

/**
 * The balanced rows in which the tables are drawn largest without scrolling; where none fit at their usual size, as many
 * columns as the width has room for, and scrolling.
 */
export function floorLayout(groups: number, table: TableSize, width: number, height: number): FloorLayout {
  const fitting = balancedColumns(groups, Math.max(1, Math.floor(width / table.width)));
  let best: FloorLayout = { columns: fitting[0] ?? 1, scale: 1 };
  for (const columns of fitting) {
    const rows = Math.ceil(groups / columns);
    const scale = Math.min(width / (columns * table.width), height / (rows * table.height), largest);
    if (scale > best.scale) best = { columns, scale };
  }
  return best;
}
