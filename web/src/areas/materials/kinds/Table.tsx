// Question: fill a table.
import { useRef } from 'react';
import { Button } from '../../../ui/Button';
import { Sideways } from '../../../ui/page/Sideways';
import * as m from '#messages';
import { freshId, type BlockItem } from '../blocks';
import { between, things, written } from '../things';
import type { FillProps } from './FillProps';

type Cells = Record<string, string | number>;

/** What stands in the cells, and what changes it. An own row is kept as its place among own rows. */
function useCells(value: string, onChange: FillProps['onChange']) {
  const held: Cells = things<string | number>(value);
  const added = Object.entries(held)
    .filter((one): one is [string, number] => typeof one[1] === 'number')
    .sort(([a, x], [b, y]) => x - y || (a < b ? -1 : 1))
    .map(([id]) => id);
  const keep = (filter: (name: string) => boolean): Cells =>
    Object.fromEntries(Object.entries(held).filter(([name]) => filter(name)));
  return {
    added,
    textIn: (row: string, column: string) => {
      const cell = held[`${row}|${column}`];
      return typeof cell === 'string' ? cell : '';
    },
    set: (row: string, column: string, to: string) => {
      const rest = keep((name) => name !== `${row}|${column}`);
      onChange?.(written(to === '' ? rest : { ...rest, [`${row}|${column}`]: to }));
    },
    addRow: () => {
      const last = added.at(-1);
      const place = between(last === undefined ? undefined : Number(held[last]), undefined);
      onChange?.(written({ ...held, [freshId('r')]: place }));
    },
    removeRow: (row: string) => onChange?.(written(keep((name) => name.split('|')[0] !== row))),
  };
}

/** The cells of one row. */
function RowCells({
  row,
  label,
  heads,
  cells,
  mayChange,
}: {
  row: string;
  label: string;
  heads: BlockItem[];
  cells: ReturnType<typeof useCells>;
  mayChange: boolean;
}) {
  return heads.map((column) => (
    <td key={column.id} className="min-w-36 border border-ink bg-sheet p-0 align-top">
      {mayChange ? (
        <textarea
          aria-label={m.copy_cell({ row: label, column: column.text })}
          rows={1}
          maxLength={1_000}
          value={cells.textIn(row, column.id)}
          onChange={(event) => cells.set(row, column.id, event.target.value)}
          className="block field-sizing-content min-h-11 w-full resize-none bg-sheet px-2 py-1.5"
        />
      ) : (
        <p className="min-h-9 px-2 py-1.5 whitespace-pre-wrap wrap-anywhere">{cells.textIn(row, column.id)}</p>
      )}
    </td>
  ));
}

/** The heading of a row of our own. */
function OwnHead({ label, onRemove }: { label: string; onRemove: (() => void) | null }) {
  return (
    <th scope="row" className="border border-ink px-2 py-1.5 align-top font-normal text-soft">
      {label}
      {onRemove !== null && (
        <Button look="quiet" className="text-sm" onClick={onRemove}>
          {m.copy_takeAway()}
        </Button>
      )}
    </th>
  );
}

/** Cells to fill; where it may grow, rows of our own below those given. */
export default function Table({ block, value, onChange }: FillProps) {
  const { items, heads, growing } = block.settings;
  const cells = useCells(value, onChange);
  const mayChange = onChange !== null;
  const box = useRef<HTMLTableElement>(null);
  const addRow = () => {
    cells.addRow();
    setTimeout(() => box.current?.querySelector<HTMLElement>('tr:last-child textarea')?.focus(), 50);
  };
  const row = { heads, cells, mayChange };
  return (
    <div className="space-y-2">
      <Sideways label={block.text}>
        <table ref={box} className="w-full border-collapse text-start">
          <thead>
            <tr>
              {items.length + cells.added.length > 0 && <td />}
              {heads.map((column) => (
                <th key={column.id} scope="col" className="border border-ink bg-wash px-2 py-1.5 wrap-anywhere">
                  {column.text}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {items.map((one) => (
              <tr key={one.id}>
                <th scope="row" className="max-w-40 min-w-24 border border-ink px-2 py-1.5 align-top wrap-anywhere">
                  {one.text}
                </th>
                <RowCells row={one.id} label={one.text} {...row} />
              </tr>
            ))}
            {cells.added.map((id, i) => {
              const label = m.copy_row({ n: items.length + i + 1 });
              return (
                <tr key={id}>
                  <OwnHead label={label} onRemove={mayChange ? () => cells.removeRow(id) : null} />
                  <RowCells row={id} label={label} {...row} />
                </tr>
              );
            })}
          </tbody>
        </table>
      </Sideways>
      {growing && mayChange && <Button onClick={addRow}>{m.copy_addRow()}</Button>}
    </div>
  );
}
