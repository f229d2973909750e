// The head of a table that is sorted by pressing a column.

export interface Order {
  key: string;
  down: boolean;
}

export function SortedHead({
  columns,
  by,
  onPress,
}: {
  columns: { key: string; title: string }[];
  by: Order | null;
  onPress: (key: string) => void;
}) {
  return (
    <thead>
      <tr className="border-b-2 border-ink">
        {columns.map((column) => (
          <th
            key={column.key}
            scope="col"
            aria-sort={by?.key !== column.key ? undefined : by.down ? 'descending' : 'ascending'}
            className="px-2 py-1 text-start align-bottom font-semibold"
          >
            <button type="button" className="text-start hover:underline" onClick={() => onPress(column.key)}>
              {column.title}
              {by?.key === column.key && <span aria-hidden="true"> {by.down ? '↓' : '↑'}</span>}
            </button>
          </th>
        ))}
      </tr>
    </thead>
  );
}
