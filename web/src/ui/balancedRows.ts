/**
 * The numbers of columns in which so many things stand in balanced rows: no row could take them with fewer columns. Six
 * things: 6, 3, 2 or 1 columns, never 5 and then one alone. From many to one.
 */
export function balancedColumns(things: number, most: number): number[] {
  const found: number[] = [];
  for (let columns = Math.min(things, most); columns >= 1; columns--)
    if (Math.ceil(things / Math.ceil(things / columns)) === columns) found.push(columns);
  return found;
}

/** The things in rows of so many. */
export const inRows = <T>(things: readonly T[], columns: number): T[][] =>
  Array.from({ length: Math.ceil(things.length / columns) }, (_, row) =>
    things.slice(row * columns, (row + 1) * columns),
  );
