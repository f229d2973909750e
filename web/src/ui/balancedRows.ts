/**
 * The numbers of columns that give balanced rows, largest first: fewer columns would need more rows. Six things fit in
 * 6, 3, 2 or 1 columns, but not in 5, with one left over.
 */
export function balancedColumns(things: number, most: number): number[] {
  const found: number[] = [];
  for (let columns = Math.min(things, most); columns >= 1; columns--)
    if (Math.ceil(things / Math.ceil(things / columns)) === columns) found.push(columns);
  return found;
}

/** Splits the things into rows. */
export const inRows = <T>(things: readonly T[], columns: number): T[][] =>
  Array.from({ length: Math.ceil(things.length / columns) }, (_, row) =>
    things.slice(row * columns, (row + 1) * columns),
  );
