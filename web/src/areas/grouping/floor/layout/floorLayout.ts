import { balancedColumns } from '../../../../ui/balancedRows';

/** A table at its usual size, in pixels, with the space around it. */
export interface TableSize {
  width: number;
  height: number;
}

/** How the tables are laid out: the number of columns, and how much larger than usual they are. */
export interface FloorLayout {
  columns: number;
  /** 1 to 2. */
  scale: number;
}

/** Tables and type grow with the space, up to twice their usual size. */
const largest = 2;

/** The size of a table with seats above and below it, two per row: `largestGroup` seats, `above` of them above. */
export const roundTable = (largestGroup: number, above: number): TableSize => ({
  width: 280,
  // Rows of seats with names of two lines, the table, its state, the space below.
  height: 58 * (Math.ceil(above / 2) + Math.ceil((largestGroup - above) / 2)) + 48 + 28 + 28,
});

/** The size of a table when there are many: its names are in one column. */
export const narrowTable = (largestGroup: number): TableSize => ({ width: 168, height: 50 + 27 * largestGroup + 20 });

/**
 * The balanced rows that allow the largest tables without scrolling. If none fit at the usual size, as many columns as
 * fit the width, and the page scrolls.
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
