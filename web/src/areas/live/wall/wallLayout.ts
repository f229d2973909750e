// How groups are laid out on the class page: pages, columns, size of type.
import { balancedColumns, inRows } from '../../../ui/balancedRows';

export interface Table {
  name: string;
  names: string[];
}

/** How the groups are laid out on the class page: pages, columns, and the size of the names. */
export interface Layout<T> {
  /** Pixels. */
  size: number;
  columns: number;
  pages: T[][];
}

/** Sizes of names in pixels. 28 can be read from eight metres; smaller sizes only keep all groups on one page. */
const sizes = [72, 64, 56, 52, 48, 44, 40, 36, 34, 32, 30, 28, 26, 25, 24, 23, 22, 21, 20];
/**
 * In multiples of the size: the width of a letter and the least width of a column, the height of a line and of a
 * heading.
 */
const letter = 0.51;
const column = 8.5;
const line = 1.3;
const head = 1.6;
const gap = 12;
/** Edges of a group, sideways and upright. */
const inset = 32;
const edges = 17;

/**
 * The largest names with which all groups fit on one page in balanced rows; if none do, names of 28 px on several
 * pages. A group is never split, and groups keep their order, row by row.
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

/** The numbers of columns with balanced rows; those that leave the fewest empty places first. */
const columnsFor = (groups: readonly Table[], size: number, width: number): number[] =>
  balancedColumns(groups.length, Math.max(1, Math.floor((width + gap) / (column * size + gap)))).sort(
    (one, other) => empty(groups.length, one) - empty(groups.length, other),
  );
const empty = (things: number, columns: number) => columns * Math.ceil(things / columns) - things;

/** The height of a group in a column of this width, in pixels, with the space below it. */
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
