// What the term says of each student: counts, each with a small line over the lessons.
import { useState } from 'react';
import { Sideways } from '../../../ui/page/Sideways';
import * as m from '#messages';
import { minutesOf } from '../figures';
import { SortedHead, type Order } from '../SortedHead';
import type { TermStudent, TermView } from './useTerm';

const sum = (all: number[]) => all.reduce((a, b) => a + b, 0);

/** One bar a lesson. `null`: nothing was to be expected of it. */
function SmallLine({ values, most, missing = false }: { values: (number | null)[]; most: number; missing?: boolean }) {
  const width = 100 / Math.max(1, values.length);
  const bar = (value: number, i: number) => {
    const height = most === 0 ? 0 : Math.max(2, (18 * value) / most);
    return `M${(i * width + width * 0.15).toFixed(2)} 19h${(width * 0.7).toFixed(2)}v-${height.toFixed(1)}h-${(width * 0.7).toFixed(2)}z`;
  };
  return (
    <svg viewBox="0 0 100 20" preserveAspectRatio="none" aria-hidden="true" className="h-5 w-full min-w-20">
      <path d="M0 19.5H100" stroke="var(--line)" strokeWidth="1" vectorEffect="non-scaling-stroke" />
      <path
        d={values.map((value, i) => (value === null || value === 0 ? '' : bar(value, i))).join('')}
        fill={missing ? 'var(--lost)' : 'var(--ink)'}
      />
    </svg>
  );
}

interface Column {
  key: string;
  title: string;
  value: (one: TermStudent) => number;
  text?: (one: TermStudent) => string;
  line?: (one: TermStudent) => (number | null)[];
  missing?: boolean;
}

const columnsOf = (term: TermView): Column[] => [
  {
    key: 'missing',
    title: m.term_missing(),
    value: (one) => one.missing,
    line: (one) => one.there.map((there) => (there === null ? null : there ? 0 : 1)),
    missing: true,
  },
  { key: 'called', title: m.term_called(), value: (one) => sum(one.called), line: (one) => one.called },
  {
    key: 'visited',
    title: m.term_visited(),
    value: (one) => sum(one.visitedMs),
    text: (one) => minutesOf(sum(one.visitedMs)).toFixed(1),
    line: (one) => one.visitedMs,
  },
  ...term.roles.map((role) => ({
    key: `role ${role}`,
    title: role,
    value: (one: TermStudent) => one.roles.find((each) => each.role === role)?.times ?? 0,
  })),
];

export function StudentsTable({ term, onChoose }: { term: TermView; onChoose: (i: number) => void }) {
  const columns = columnsOf(term);
  const [by, setBy] = useState<Order | null>(null);
  const sorted = columns.find((one) => one.key === by?.key);
  const rows = term.students.map((one, i) => ({ one, i }));
  if (sorted !== undefined && by !== null)
    rows.sort((a, b) => (sorted.value(a.one) - sorted.value(b.one)) * (by.down ? -1 : 1));
  const most = (column: Column) =>
    Math.max(0, ...term.students.flatMap((one) => (column.line?.(one) ?? []).map((value) => value ?? 0)));
  const mosts = new Map(columns.map((column) => [column.key, most(column)]));
  return (
    <Sideways label={m.term_each()}>
      <table className="w-full max-w-5xl border-collapse text-sm">
        <SortedHead
          columns={[{ key: 'name', title: m.record_name() }, ...columns]}
          by={by}
          onPress={(key) => setBy(key === 'name' ? null : { key, down: by?.key !== key || !by.down })}
        />
        <tbody>
          {rows.map(({ one, i }) => (
            <tr key={one.id} className="border-b border-line">
              <th scope="row" className="min-w-44 px-2 py-1 text-start font-semibold wrap-anywhere">
                <button type="button" className="text-start hover:underline" onClick={() => onChoose(i)}>
                  {one.name}
                </button>
              </th>
              {columns.map((column) => (
                <td key={column.key} className="px-2 py-1 tabular-nums">
                  <span className="flex items-center gap-2">
                    <span className="min-w-7">{column.text?.(one) ?? column.value(one)}</span>
                    {column.line !== undefined && (
                      <SmallLine
                        values={column.line(one)}
                        most={mosts.get(column.key) ?? 0}
                        missing={column.missing ?? false}
                      />
                    )}
                  </span>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </Sideways>
  );
}
