// Where each student was, on the time of the lesson.
import type { PointerEvent } from 'react';
import { isRightToLeft } from '../../ui/direction';
import { markOf } from '../../ui/signs/marks';
import { Sign } from '../../ui/signs/Sign';
import * as m from '#messages';
import { timeText } from '../../words/when';
import { byGroups, groupsOnce, type RecordView, type StudentRecord } from './figures';
import { spansOf, type Kind, type Span } from './spans';
import { timeScale, type TimeScale } from './timeScale';

/** What is drawn for each kind: told apart without colour, too. */
const fills: Record<Kind, string> = {
  main: 'var(--wash)',
  group: '',
  sideRoom: 'url(#strip-side)',
  elsewhere: 'var(--attention)',
  away: 'none',
};
const groupFill = (mark: number) => `color-mix(in oklab, ${markOf(mark).colour} 38%, var(--sheet))`;

/** All stretches of one look as one path, on a strip of 1,000 by 10: many students make many stretches. */
function pathOf(spans: Pick<Span, 'from' | 'to'>[], scale: TimeScale, top = 0): string {
  return spans
    .map(({ from, to }) => `M${(10 * scale.at(from)).toFixed(1)} ${top}H${(10 * scale.at(to)).toFixed(1)}V10`)
    .map((line) => `${line}H${/^M([\d.]+)/.exec(line)?.[1] ?? 0}Z`)
    .join('');
}

/** Where a student was, and under it where they wrote. */
function Drawn({
  spans,
  student,
  record,
  scale,
}: {
  spans: Span[];
  student: StudentRecord;
  record: RecordView;
  scale: TimeScale;
}) {
  const looks = new Map<string, Span[]>();
  for (const span of spans) {
    const group = record.groups.find((one) => one.group === span.group);
    const fill = group === undefined ? fills[span.kind] : groupFill(group.mark);
    looks.set(fill, [...(looks.get(fill) ?? []), span]);
  }
  const part = (record.until - record.begunAt) / record.parts;
  const wrote = student.wrote.map((n) => ({ from: record.begunAt + n * part, to: record.begunAt + (n + 1) * part }));
  return (
    <svg viewBox="0 0 1000 10" preserveAspectRatio="none" className="absolute inset-0 size-full rtl:-scale-x-100">
      <path d="M0 5H1000" stroke="var(--line)" strokeWidth="0.6" />
      {[...looks].map(([fill, same]) => (
        <path key={fill} d={pathOf(same, scale)} fill={fill} />
      ))}
      <path d={pathOf(wrote, scale, 6)} fill="var(--ink)" />
    </svg>
  );
}

/** The hatching of a side room, once for all strips. */
function Patterns() {
  return (
    <svg width="0" height="0" aria-hidden="true" className="absolute">
      <pattern id="strip-side" width="8" height="10" patternUnits="userSpaceOnUse">
        <rect width="8" height="10" fill="var(--wash)" />
        <rect width="3" height="10" fill="var(--ink)" opacity="0.55" />
      </pattern>
    </svg>
  );
}

/** What happened to a student at one moment: a sign over their strip. */
function Moment({ at, scale, title, children }: { at: number; scale: TimeScale; title: string; children: string }) {
  return (
    <span
      title={`${title}, ${timeText(at)}`}
      className="absolute inset-y-0 grid w-4 -translate-x-1/2 place-items-center bg-ink text-[0.65rem] leading-none font-bold text-ground rtl:translate-x-1/2"
      style={{ insetInlineStart: `${scale.at(at)}%` }}
    >
      {children}
    </span>
  );
}

/** Where they were at the place the pointer is at. */
function whereAt(event: PointerEvent<HTMLElement>, spans: Span[], record: RecordView): string {
  const box = event.currentTarget.getBoundingClientRect();
  const along = (event.clientX - box.left) / Math.max(1, box.width);
  const at = record.begunAt + (isRightToLeft() ? 1 - along : along) * (record.until - record.begunAt);
  const span = spans.find((one) => one.from <= at && at < one.to);
  if (span === undefined) return '';
  const where = record.groups.find((one) => one.group === span.group)?.name ?? m.record_where({ key: span.kind });
  return `${where}, ${timeText(span.from)}–${timeText(span.to)}`;
}

function Strip({ student, record, scale }: { student: StudentRecord; record: RecordView; scale: TimeScale }) {
  const spans = spansOf(student, record);
  const group = record.groups.find((one) => one.group === student.group);
  return (
    <li className="flex items-center gap-2">
      <span className="flex w-44 shrink-0 items-center gap-1.5 text-sm leading-4">
        {group === undefined ? <span className="w-3.5" /> : <Sign mark={group.mark} size={14} />}
        <span className="min-w-0 flex-1 truncate" title={student.name}>
          {student.name}
        </span>
      </span>
      <span
        aria-hidden="true"
        className="relative h-4 min-w-0 flex-1 overflow-hidden border border-line bg-sheet"
        onPointerMove={(event) => (event.currentTarget.title = whereAt(event, spans, record))}
      >
        <Drawn spans={spans} student={student} record={record} scale={scale} />
        {record.calls
          .filter((one) => one.student === student.student)
          .map((one) => (
            <Moment key={one.at} at={one.at} scale={scale} title={m.record_asked()}>
              ?
            </Moment>
          ))}
        {record.calledOn
          .filter((one) => one.student === student.student)
          .map((one) => (
            <Moment key={one.at} at={one.at} scale={scale} title={m.record_calledOn()}>
              !
            </Moment>
          ))}
      </span>
    </li>
  );
}

/** The parts of the lesson over the strips, and the time of day under them. */
function Axis({ record, scale }: { record: RecordView; scale: TimeScale }) {
  return (
    <div aria-hidden="true" className="mb-1 flex gap-2 text-xs">
      <span className="w-44 shrink-0" />
      <span className="relative h-9 min-w-0 flex-1">
        {record.segments.map((segment) => (
          <span
            key={segment.from}
            className="absolute top-0 h-4.5 truncate border-s border-ink ps-1 font-semibold"
            style={{
              insetInlineStart: `${scale.at(segment.from)}%`,
              width: `${scale.width(segment.from, segment.to)}%`,
            }}
          >
            {m.record_segment({ key: segment.kind })}
          </span>
        ))}
        {scale.ticks.map((tick) => (
          <span
            key={tick}
            className="absolute bottom-0 -translate-x-1/2 text-soft tabular-nums rtl:translate-x-1/2"
            style={{ insetInlineStart: `${scale.at(tick)}%` }}
          >
            {timeText(tick)}
          </span>
        ))}
      </span>
    </div>
  );
}

/** What the looks of strips mean, once. */
function Key({ record }: { record: RecordView }) {
  const kinds = new Set(record.students.flatMap((one) => one.strip.map(([, kind = 0]) => record.kinds[kind])));
  const [first] = groupsOnce(record.groups);
  return (
    <p className="mt-3 flex flex-wrap gap-x-5 gap-y-1 text-sm">
      {(['main', 'group', 'sideRoom', 'elsewhere', 'away'] as const)
        .filter((kind) => kinds.has(kind))
        .map((kind) => (
          <span key={kind} className="flex items-center gap-1.5">
            <svg viewBox="0 0 24 10" className="h-3 w-6 border border-line" aria-hidden="true">
              <path d="M0 5H24" stroke="var(--line)" strokeWidth="0.6" />
              <path d="M0 0H24V10H0Z" fill={kind === 'group' ? groupFill(first?.mark ?? 0) : fills[kind]} />
            </svg>
            {m.record_where({ key: kind })}
          </span>
        ))}
      <span className="flex items-center gap-1.5">
        <span className="inline-block h-1.5 w-6 bg-ink" /> {m.record_wrote()}
      </span>
      <span>
        <b className="bg-ink px-1 text-ground">?</b> {m.record_asked()}
      </span>
      <span>
        <b className="bg-ink px-1 text-ground">!</b> {m.record_calledOn()}
      </span>
    </p>
  );
}

/** One line a student, by groups. What it says stands in the table of figures, too. */
export function Strips({ record }: { record: RecordView }) {
  const scale = timeScale(record.begunAt, record.until);
  return (
    <>
      <Patterns />
      <Axis record={record} scale={scale} />
      <ul className="space-y-0.5">
        {byGroups(record).map((student) => (
          <Strip key={student.student} student={student} record={record} scale={scale} />
        ))}
      </ul>
      <Key record={record} />
    </>
  );
}
