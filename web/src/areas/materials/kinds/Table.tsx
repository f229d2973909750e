import { useRef } from 'react';
import { Button } from '../../../ui/Button';
import { Sideways } from '../../../ui/Sideways';
import * as m from '#messages';
import { freshId } from '../blocks';
import { between, things, written } from '../things';
import type { FillProps } from './FillProps';

/** Cells to fill; where it may grow, rows of our own below those given. */
export default function Table({ block, value, onChange }: FillProps) {
  const { items, heads, growing } = block.settings;
  const held = things<string | number>(value);
  const box = useRef<HTMLTableElement>(null);
  const added = Object.entries(held)
    .filter((one): one is [string, number] => typeof one[1] === 'number')
    .sort(([a, x], [b, y]) => x - y || (a < b ? -1 : 1))
    .map(([id]) => id);
  const text = (row: string, column: string) => {
    const cell = held[`${row}|${column}`];
    return typeof cell === 'string' ? cell : '';
  };
  const set = (row: string, column: string, to: string) => {
    const rest = Object.fromEntries(Object.entries(held).filter(([name]) => name !== `${row}|${column}`));
    onChange?.(written(to === '' ? rest : { ...rest, [`${row}|${column}`]: to }));
  };
  const addRow = () => {
    const last = added.at(-1);
    const place = between(last === undefined ? undefined : Number(held[last]), undefined);
    onChange?.(written({ ...held, [freshId('r')]: place }));
    setTimeout(() => box.current?.querySelector<HTMLElement>('tr:last-child textarea')?.focus(), 50);
  };
  const removeRow = (row: string) =>
    onChange?.(written(Object.fromEntries(Object.entries(held).filter(([name]) => name.split('|')[0] !== row))));
  const cells = (row: string, label: string) =>
    heads.map((column) => (
      <td key={column.id} className="min-w-36 border border-ink bg-sheet p-0 align-top">
        {onChange === null ? (
          <p className="min-h-9 px-2 py-1.5 whitespace-pre-wrap wrap-anywhere">{text(row, column.id)}</p>
        ) : (
          <textarea
            aria-label={m.copy_cell({ row: label, column: column.text })}
            rows={1}
            maxLength={1_000}
            value={text(row, column.id)}
            onChange={(event) => set(row, column.id, event.target.value)}
            className="block field-sizing-content min-h-11 w-full resize-none bg-sheet px-2 py-1.5"
          />
        )}
      </td>
    ));
  return (
    <div className="space-y-2">
      <Sideways label={block.text}>
        <table ref={box} className="w-full border-collapse text-start">
          <thead>
            <tr>
              {(items.length > 0 || added.length > 0) && <td />}
              {heads.map((column) => (
                <th key={column.id} scope="col" className="border border-ink bg-wash px-2 py-1.5 wrap-anywhere">
                  {column.text}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {items.map((row) => (
              <tr key={row.id}>
                <th scope="row" className="max-w-40 min-w-24 border border-ink px-2 py-1.5 align-top wrap-anywhere">
                  {row.text}
                </th>
                {cells(row.id, row.text)}
              </tr>
            ))}
            {added.map((row, i) => (
              <tr key={row}>
                <th scope="row" className="border border-ink px-2 py-1.5 align-top font-normal text-soft">
                  {m.copy_row({ n: items.length + i + 1 })}
                  {onChange !== null && (
                    <Button look="quiet" className="text-sm" onClick={() => removeRow(row)}>
                      {m.copy_takeAway()}
                    </Button>
                  )}
                </th>
                {cells(row, m.copy_row({ n: items.length + i + 1 }))}
              </tr>
            ))}
          </tbody>
        </table>
      </Sideways>
      {growing && onChange !== null && <Button onClick={addRow}>{m.copy_addRow()}</Button>}
    </div>
  );
}
