import { balancedColumns, inRows } from '../../ui/balancedRows';

export interface Table {
  name: string;
  names: string[];
}

/** How groups stand on a wall: pages of groups, so many beside each other, and how large the names are. */
export interface Layout<T> {
  /** Pixels. */
  size: number;
  columns: number;
  pages: T[][];
}

/** Sizes of names in pixels. At 28 they are read from eight metres; below that only where all would not stand on one page. */
const sizes = [72, 64, 56, 52, 48, 44, 40, 36, 34, 32, 30, 28, 26, 25, 24, 23, 22, 21, 20];
/** Widths as shares of the size: of a letter of a name, of a column at least; heights likewise, of a line and of a head. */
const letter = 0.51;
const column = 8.5;
const line = 1.3;
const head = 1.6;
const gap = 12;
/** Edges of a group, sideways and upright. */
const inset = 32;
const edges = 17;

/**
 * The largest names with which all groups stand on one page in balanced rows; else the smallest that all can read, and
 * pages to be turned. A group is never torn apart, and groups stay in their order, row by row.
 */
export function layOut<T extends Table>(groups: T[], width: number, height: number): Layout<T> {
  for (const size of sizes) {
    const columns = columnsFor(groups, size, width).find(
      (some) => pagesOf(groups, some, size, width, height).length <= 1,
    );
    if (columns !== undefined) return { size, columns, pages: groups.length === 0 ? [] : [groups] };
  }
  const size = 28;
  const columns = columnsFor(groups, size, width)[0] ?? 1;
  return { size, columns, pages: pagesOf(groups, columns, size, width, height) };
}

/** Balanced rows only, the fullest first. */
const columnsFor = (groups: readonly Table[], size: number, width: number): number[] =>
  balancedColumns(groups.length, Math.max(1, Math.floor((width + gap) / (column * size + gap)))).sort(
    (one, other) => empty(groups.length, one) - empty(groups.length, other),
  );
const empty = (things: number, columns: number) => columns * Math.ceil(things / columns) - things;

/** Pixels a group takes in a column so wide, with the space under it. */
export function heightOf(group: Table, size: number, width: number): number {
  const lines = (text: string) => Math.max(1, Math.ceil((text.length * letter * size) / Math.max(1, width - inset)));
  const names = group.names.length === 0 ? 1 : group.names.reduce((sum, name) => sum + lines(name), 0);
  return head * size * lines(group.name) + line * size * names + gap + edges;
}

function pagesOf<T extends Table>(groups: T[], columns: number, size: number, width: number, height: number): T[][] {
  const wide = (width - gap * (columns - 1)) / columns;
  const pages: T[][] = [];
  let used = Infinity;
  for (const row of inRows(groups, columns)) {
    const tall = Math.max(...row.map((group) => heightOf(group, size, wide)));
    if (used + tall > height + gap) {
      pages.push([]);
      used = 0;
    }
    pages.at(-1)?.push(...row);
    used += tall;
  }
  return pages;
}
