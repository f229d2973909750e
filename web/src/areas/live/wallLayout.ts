export interface Table {
  name: string;
  names: string[];
}

/** How groups stand on a wall: pages of columns of groups, and how large the names are. */
export interface Layout<T> {
  /** Pixels. */
  size: number;
  pages: T[][][];
}

/** Names are read from eight metres at the smallest of these, in pixels. */
const sizes = [52, 44, 36, 28];
/** Widths as shares of the size: of a sign of a name, of a column at least; heights likewise, of a line and of a head. */
const sign = 0.51;
const column = 9;
const line = 1.35;
const head = 1.75;
const gap = 16;
/** Edges of a group, sideways and upright. */
const inset = 32;
const edges = 17;

/**
 * The largest names with which all groups stand on one page; else the smallest, and pages to be turned. A group is never
 * torn apart.
 */
export function layOut<T extends Table>(groups: T[], width: number, height: number): Layout<T> {
  for (const size of sizes) {
    const pages = fill(groups, size, width, height);
    if (pages.length <= 1) return { size, pages };
  }
  const size = sizes.at(-1) ?? 28;
  return { size, pages: fill(groups, size, width, height) };
}

/** Pixels a group takes in a column so wide. */
export function heightOf(group: Table, size: number, width: number): number {
  const lines = (text: string) => Math.max(1, Math.ceil((text.length * sign * size) / Math.max(1, width - inset)));
  const names = group.names.length === 0 ? 1 : group.names.reduce((sum, name) => sum + lines(name), 0);
  return head * size * lines(group.name) + line * size * names + gap + edges;
}

function fill<T extends Table>(groups: T[], size: number, width: number, height: number): T[][][] {
  const across = Math.max(1, Math.min(groups.length, Math.floor((width + gap) / (column * size + gap))));
  const wide = (width - gap * (across - 1)) / across;
  const pages: T[][][] = [];
  let page: T[][] = [];
  let stack: T[] = [];
  let used = 0;
  for (const group of groups) {
    const tall = heightOf(group, size, wide);
    if (stack.length > 0 && used + tall > height) {
      page.push(stack);
      stack = [];
      used = 0;
      if (page.length === across) {
        pages.push(page);
        page = [];
      }
    }
    stack.push(group);
    used += tall;
  }
  if (stack.length > 0) page.push(stack);
  if (page.length > 0) pages.push(page);
  return pages;
}
