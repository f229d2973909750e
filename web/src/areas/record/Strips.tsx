// Where each student was, on the time of the lesson.
import clsx from 'clsx';
import { markOf } from '../../ui/signs/marks';
import { Sign } from '../../ui/signs/Sign';
import * as m from '#messages';
import { timeText } from '../../words/when';
import { byGroups, groupsOnce, type RecordView, type StudentRecord } from './figures';
import { timeScale, type TimeScale } from './timeScale';

/** A word typed lasts so long on the strip; milliseconds. */
const stretch = 30_000;

type Span = StudentRecord['strip'][number];

const looks: Record<Span['kind'], string> = {
  main: 'bg-wash',
  group: '',
  sideRoom: 'strip-side border-y-2 border-ink',
  elsewhere: 'bg-attention',
  away: 'strip-away',
};

/** A stretch of time in one place. */
function Stretch({ span, scale, record }: { span: Span; scale: TimeScale; record: RecordView }) {
  const group = record.groups.find((one) => one.group === span.group);
  const colour = group === undefined ? undefined : markOf(group.mark).colour;
  const where = group?.name ?? m.record_where({ key: span.kind });
  return (
    <span
      title={`${where}, ${timeText(span.from)}–${timeText(span.to)}`}
      className={clsx('absolute inset-y-0', looks[span.kind])}
      style={{
        insetInlineStart: `${scale.at(span.from)}%`,
        width: `${scale.width(span.from, span.to)}%`,
        ...(colour === undefined ? {} : { backgroundColor: `color-mix(in oklab, ${colour} 38%, var(--sheet))` }),
      }}
    />
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

function Strip({ student, record, scale }: { student: StudentRecord; record: RecordView; scale: TimeScale }) {
  const group = record.groups.find((one) => one.group === student.group);
  return (
    <li className="flex items-center gap-2">
      <span className="flex w-44 shrink-0 items-center gap-1.5 text-sm leading-4">
        {group === undefined ? <span className="w-3.5" /> : <Sign mark={group.mark} size={14} />}
        <span className="min-w-0 flex-1 truncate" title={student.name}>
          {student.name}
        </span>
      </span>
      <span aria-hidden="true" className="relative h-4 min-w-0 flex-1 overflow-hidden border border-line bg-sheet">
        {student.strip.map((span) => (
          <Stretch key={span.from} span={span} scale={scale} record={record} />
        ))}
        {record.writing
          .filter((one) => one.student === student.student)
          .map((one) => (
            <span
              key={`${one.slot}${one.at}`}
              className="absolute bottom-0 h-1.5 bg-ink"
              style={{
                insetInlineStart: `${scale.at(one.at - stretch)}%`,
                width: `${Math.max(0.3, scale.width(one.at - stretch, one.at))}%`,
              }}
            />
          ))}
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
  const kinds = new Set(record.students.flatMap((one) => one.strip.map((span) => span.kind)));
  const [first] = groupsOnce(record.groups);
  const colour = markOf(first?.mark ?? 0).colour;
  return (
    <p className="mt-3 flex flex-wrap gap-x-5 gap-y-1 text-sm">
      {(['main', 'group', 'sideRoom', 'elsewhere', 'away'] as const)
        .filter((kind) => kinds.has(kind))
        .map((kind) => (
          <span key={kind} className="flex items-center gap-1.5">
            <span
              className={clsx('inline-block h-4 w-6 border border-line', looks[kind])}
              style={
                kind === 'group' ? { backgroundColor: `color-mix(in oklab, ${colour} 38%, var(--sheet))` } : undefined
              }
            />
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
