// All figures of all students, to be sorted by any of them.
import { useState } from 'react';
import { Sideways } from '../../ui/page/Sideways';
import * as m from '#messages';
import { timeText } from '../../words/when';
import { byGroups, minutesOf, shareOf, type RecordView, type StudentRecord } from './figures';

interface Column {
  key: string;
  title: string;
  /** What it is sorted by; null comes last. */
  value: (one: StudentRecord) => number | string | null;
  text: (one: StudentRecord) => string;
}

const numbers = (key: string, title: string, value: (one: StudentRecord) => number | null): Column => ({
  key,
  title,
  value,
  text: (one) => {
    const number = value(one);
    return number === null ? '–' : String(number);
  },
});

const minutes = (key: string, title: string, ms: (one: StudentRecord) => number): Column => ({
  key,
  title,
  value: ms,
  text: (one) => minutesOf(ms(one)).toFixed(1),
});

const columnsOf = (record: RecordView): Column[] => {
  const group = (one: StudentRecord) => record.groups.find((each) => each.group === one.group)?.name ?? '';
  return [
    { key: 'name', title: m.record_name(), value: (one) => one.name, text: (one) => one.name },
    { key: 'group', title: m.record_group(), value: group, text: group },
    {
      key: 'arrived',
      title: m.record_arrived(),
      value: (one) => one.arrivedAt,
      text: (one) => (one.arrivedAt === null ? m.record_never() : timeText(one.arrivedAt)),
    },
    minutes('inPlace', m.record_inPlace(), (one) => one.inPlaceMs),
    minutes('elsewhere', m.record_elsewhere(), (one) => one.elsewhereMs),
    minutes('away', m.record_away(), (one) => one.awayMs),
    numbers('put', m.record_put(), (one) => one.put),
    numbers('share', m.record_share(), shareOf),
    numbers('slots', m.record_slots(), (one) => one.slots),
    numbers('calls', m.record_calls(), (one) => one.calls),
    numbers('calledOn', m.record_calledOnTimes(), (one) => one.calledOn),
    ...(record.students.some((one) => one.exitOf > 0)
      ? [numbers('exit', m.record_exit(), (one) => (one.exitOf === 0 ? null : one.exitAnswered))]
      : []),
  ];
};

function compare(a: number | string | null, b: number | string | null): number {
  if (a === null || b === null) return a === b ? 0 : a === null ? 1 : -1;
  return typeof a === 'string' ? a.localeCompare(String(b)) : a - Number(b);
}

export function FiguresTable({ record }: { record: RecordView }) {
  const columns = columnsOf(record);
  const [by, setBy] = useState<{ key: string; down: boolean } | null>(null);
  const sorted = columns.find((one) => one.key === by?.key);
  const rows = byGroups(record);
  if (sorted !== undefined && by !== null)
    rows.sort((a, b) => compare(sorted.value(a), sorted.value(b)) * (by.down ? -1 : 1));
  const press = (key: string) => setBy((old) => ({ key, down: old?.key === key ? !old.down : false }));
  return (
    <Sideways label={m.record_figures()}>
      <table className="w-full border-collapse text-sm">
        <thead>
          <tr className="border-b-2 border-ink">
            {columns.map((column) => (
              <th
                key={column.key}
                scope="col"
                aria-sort={by?.key !== column.key ? undefined : by.down ? 'descending' : 'ascending'}
                className="px-2 py-1 text-start align-bottom font-semibold"
              >
                <button type="button" className="text-start hover:underline" onClick={() => press(column.key)}>
                  {column.title}
                  {by?.key === column.key && <span aria-hidden="true"> {by.down ? '↓' : '↑'}</span>}
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((one) => (
            <tr key={one.student} className="border-b border-line">
              {columns.map((column, i) =>
                i === 0 ? (
                  <th
                    key={column.key}
                    scope="row"
                    className="min-w-44 px-2 py-1 text-start font-semibold wrap-anywhere"
                  >
                    {column.text(one)}
                  </th>
                ) : (
                  <td key={column.key} className="px-2 py-1 tabular-nums">
                    {column.text(one)}
                  </td>
                ),
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </Sideways>
  );
}
