// All figures of all students, to be sorted by any of them, and corrected by hand.
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Sideways } from '../../ui/page/Sideways';
import * as m from '#messages';
import { timeText } from '../../words/when';
import { CorrectFigure } from './CorrectFigure';
import { SortedHead, type Order } from './SortedHead';
import {
  byGroups,
  correctionsOf,
  figureText,
  shareOf,
  type Correction,
  type Figure,
  type RecordView,
  type StudentRecord,
} from './figures';

interface Column {
  key: string;
  title: string;
  /** What it is sorted by; null comes last. */
  value: (one: StudentRecord) => number | string | null;
  text: (one: StudentRecord) => string;
  /** What it can be corrected as. */
  figure?: Figure;
}

function columnsOf(record: RecordView, corrections: Map<string, Correction>): Column[] {
  const group = (one: StudentRecord) => record.groups.find((each) => each.group === one.group)?.name ?? '';
  const figure = (key: Figure, title: string): Column => {
    const value = (one: StudentRecord) => corrections.get(`${one.student} ${key}`)?.value ?? one[key];
    return { key, title, value, text: (one) => figureText(key, value(one)), figure: key };
  };
  const points = new Map(record.points.map((one) => [one.student, one.sum]));
  return [
    { key: 'name', title: m.record_name(), value: (one) => one.name, text: (one) => one.name },
    { key: 'group', title: m.record_group(), value: group, text: group },
    {
      key: 'arrived',
      title: m.record_arrived(),
      value: (one) => one.arrivedAt,
      text: (one) => (one.arrivedAt === null ? m.record_never() : timeText(one.arrivedAt)),
    },
    figure('inPlaceMs', m.record_inPlace()),
    figure('elsewhereMs', m.record_elsewhere()),
    figure('awayMs', m.record_away()),
    figure('put', m.record_put()),
    { key: 'share', title: m.record_share(), value: shareOf, text: (one) => String(shareOf(one) ?? '–') },
    figure('slots', m.record_slots()),
    figure('calls', m.record_calls()),
    figure('calledOn', m.record_calledOnTimes()),
    ...(record.students.some((one) => one.spokenMs > 0)
      ? [
          {
            key: 'spoke',
            title: m.record_spoke(),
            value: (one: StudentRecord) => one.spokenMs,
            text: (one: StudentRecord) => figureText('inPlaceMs', one.spokenMs),
          },
        ]
      : []),
    ...(record.students.some((one) => one.exitOf > 0) ? [figure('exitAnswered', m.record_exit())] : []),
    ...(record.pointsRule.length === 0
      ? []
      : [
          {
            key: 'points',
            title: m.record_points_column({ most: record.pointsRule.reduce((sum, one) => sum + one.points, 0) }),
            value: (one: StudentRecord) => points.get(one.student) ?? 0,
            text: (one: StudentRecord) => String(points.get(one.student) ?? 0),
          },
        ]),
  ];
}

function compare(a: number | string | null, b: number | string | null): number {
  if (a === null || b === null) return a === b ? 0 : a === null ? 1 : -1;
  return typeof a === 'string' ? a.localeCompare(String(b)) : a - Number(b);
}

/** A figure: what counts, and what was computed beside it. */
function Cell({
  column,
  one,
  corrected,
  onCorrect,
}: {
  column: Column;
  one: StudentRecord;
  corrected: boolean;
  onCorrect: (() => void) | null;
}) {
  const { figure } = column;
  const text = column.text(one);
  const shown =
    corrected && figure !== undefined ? (
      <>
        <strong>{text}</strong>{' '}
        <del className="text-soft" aria-label={m.record_computed({ value: figureText(figure, one[figure]) })}>
          {figureText(figure, one[figure])}
        </del>
      </>
    ) : (
      text
    );
  return (
    <td className="px-2 py-1 whitespace-nowrap tabular-nums">
      {onCorrect === null || figure === undefined ? (
        shown
      ) : (
        <button
          type="button"
          aria-label={m.record_correctOne({ name: one.name, figure: column.title, value: text })}
          className="min-h-6 min-w-8 border-b-2 border-dotted border-ink px-1 text-start hover:bg-wash"
          onClick={onCorrect}
        >
          {shown}
        </button>
      )}
    </td>
  );
}

/** Who has corrected what, under the table. */
function Corrected({ record, columns }: { record: RecordView; columns: Column[] }) {
  const names = new Map(record.students.map((one) => [one.student, one]));
  const staff = new Map(record.staff.map((one) => [one.id, one.name]));
  const rows = record.corrections.flatMap((one) => {
    const student = names.get(one.student);
    const title = columns.find((column) => column.figure === one.figure)?.title;
    return student === undefined || title === undefined ? [] : [{ ...one, name: student.name, title }];
  });
  if (rows.length === 0) return null;
  return (
    <ul aria-label={m.record_correctedBy()} className="mt-2 text-sm text-soft">
      {rows.map((one) => (
        <li key={`${one.student}${one.figure}`} className="wrap-anywhere">
          {m.record_correctedLine({
            name: one.name,
            figure: one.title,
            value: figureText(one.figure, one.value),
            who: staff.get(one.by) ?? m.record_someone(),
            when: `${new Date(one.at).toLocaleDateString()}, ${timeText(one.at)}`,
          })}
        </li>
      ))}
    </ul>
  );
}

export function FiguresTable({ record }: { record: RecordView }) {
  const corrections = correctionsOf(record);
  const columns = columnsOf(record, corrections);
  const [by, setBy] = useState<Order | null>(null);
  const [isCorrecting, setCorrecting] = useState(false);
  const [asked, setAsked] = useState<{ student: string; figure: Figure } | null>(null);
  const sorted = columns.find((one) => one.key === by?.key);
  const rows = byGroups(record);
  if (sorted !== undefined && by !== null)
    rows.sort((a, b) => compare(sorted.value(a), sorted.value(b)) * (by.down ? -1 : 1));
  const student = record.students.find((one) => one.student === asked?.student);
  return (
    <>
      <Sideways label={m.record_figures()}>
        <table className="w-full border-collapse text-sm">
          <SortedHead columns={columns} by={by} onPress={(key) => setBy({ key, down: by?.key === key && !by.down })} />
          <tbody>
            {rows.map((one) => (
              <tr key={one.student} className="border-b border-line">
                <th scope="row" className="min-w-44 px-2 py-1 text-start font-semibold wrap-anywhere">
                  {one.name}
                </th>
                {columns.slice(1).map((column) => {
                  const { figure } = column;
                  return (
                    <Cell
                      key={column.key}
                      column={column}
                      one={one}
                      corrected={figure !== undefined && corrections.has(`${one.student} ${figure}`)}
                      onCorrect={
                        isCorrecting && figure !== undefined ? () => setAsked({ student: one.student, figure }) : null
                      }
                    />
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </Sideways>
      <Corrected record={record} columns={columns} />
      <Button className="mt-3" aria-pressed={isCorrecting} onClick={() => setCorrecting(!isCorrecting)}>
        {isCorrecting ? m.record_correctDone() : m.record_correct()}
      </Button>
      {isCorrecting && <p className="mt-1 text-sm text-soft">{m.record_correctHint()}</p>}
      {asked !== null && student !== undefined && (
        <CorrectFigure
          key={`${asked.student}${asked.figure}`}
          lesson={record.lesson}
          student={student}
          figure={asked.figure}
          title={columns.find((column) => column.figure === asked.figure)?.title ?? ''}
          correction={corrections.get(`${asked.student} ${asked.figure}`) ?? null}
          onClose={() => setAsked(null)}
        />
      )}
    </>
  );
}
