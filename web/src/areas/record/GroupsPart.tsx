// What came of each group: how far it got, who wrote, who came to help.
import { markOf } from '../../ui/signs/marks';
import { Sign } from '../../ui/signs/Sign';
import * as m from '#messages';
import { minutesText, type GroupRecord, type RecordView } from './figures';
import { timeScale } from './timeScale';

/** How much was filled in, over the time of its round. */
function ProgressLine({ group, record }: { group: GroupRecord; record: RecordView }) {
  const run = record.runs.find(
    (one) => one.round === group.round && one.groups.some((each) => each.id === group.group),
  );
  if (run === undefined || group.of === 0) return null;
  const scale = timeScale(run.from, run.to);
  const steps = record.progress.filter((one) => one.group === group.group && one.at < run.to);
  let [path, height] = ['M0 30', 30];
  for (const step of steps) {
    const next = 30 - (30 * step.filled) / Math.max(1, step.of);
    path += ` H${scale.at(step.at).toFixed(1)} V${next.toFixed(1)}`;
    height = next;
  }
  const { colour } = markOf(group.mark);
  return (
    <svg viewBox="0 0 100 30" preserveAspectRatio="none" aria-hidden="true" className="h-12 w-full border-b border-ink">
      <path d={`${path} H100 V30 Z`} fill={`color-mix(in oklab, ${colour} 25%, transparent)`} stroke="none" />
      <path d={`${path} H100`} fill="none" stroke={colour} strokeWidth="2" vectorEffect="non-scaling-stroke" />
      {height < 30 && <title>{m.record_filled({ done: group.filled, all: group.of })}</title>}
    </svg>
  );
}

/** Each member's part of the writing, by name. */
function Writers({ group, record }: { group: GroupRecord; record: RecordView }) {
  const all = group.put.reduce((sum, one) => sum + one.put, 0);
  const putOf = (student: string) => group.put.find((one) => one.student === student)?.put ?? 0;
  const names = new Map(record.students.map((one) => [one.student, one.name]));
  const writers = [...new Set([...group.students, ...group.put.map((one) => one.student)])].sort(
    (a, b) => putOf(b) - putOf(a),
  );
  const { colour } = markOf(group.mark);
  return (
    <ul className="mt-2 space-y-0.5 text-sm">
      {writers.map((id) => {
        const share = all === 0 ? 0 : Math.round((100 * putOf(id)) / all);
        return (
          <li key={id} className="relative flex justify-between gap-2 px-1.5">
            <span
              aria-hidden="true"
              className="absolute inset-y-0 inset-s-0"
              style={{ width: `${share}%`, backgroundColor: `color-mix(in oklab, ${colour} 25%, var(--sheet))` }}
            />
            <span className="relative min-w-0 truncate">{names.get(id) ?? m.work_formerMember()}</span>
            <span className="relative tabular-nums">{share} %</span>
          </li>
        );
      })}
    </ul>
  );
}

function GroupCard({ group, record, several }: { group: GroupRecord; record: RecordView; several: boolean }) {
  return (
    <li className="break-inside-avoid border-2 bg-sheet p-3" style={{ borderColor: markOf(group.mark).colour }}>
      <h3 className="flex items-center gap-2 text-lg">
        <Sign mark={group.mark} size={20} />
        <span className="min-w-0 flex-1 wrap-anywhere">{group.name}</span>
        {several && <span className="font-sans text-sm text-soft">{m.order_round({ number: group.round })}</span>}
      </h3>
      <p className="mb-1 text-sm text-soft">
        {[
          group.of > 0 ? m.record_filled({ done: group.filled, all: group.of }) : null,
          group.visits === 0
            ? m.record_notVisited()
            : m.record_visited({ n: group.visits, time: minutesText(group.visitedMs) }),
          group.calls > 0 ? m.record_waited({ n: group.calls, time: minutesText(group.longestMs) }) : null,
        ]
          .filter((one) => one !== null)
          .join(' · ')}
      </p>
      <ProgressLine group={group} record={record} />
      <Writers group={group} record={record} />
    </li>
  );
}

export function GroupsPart({ record }: { record: RecordView }) {
  const groups = record.groups.filter((group) => group.students.length > 0);
  return (
    <ul className="grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
      {groups.map((group) => (
        <GroupCard
          key={`${group.round}${group.group}`}
          group={group}
          record={record}
          several={record.runs.length > 1}
        />
      ))}
    </ul>
  );
}
