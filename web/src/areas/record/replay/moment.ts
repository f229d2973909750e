// How a lesson stood at one moment, from its record.
import type { GroupRecord, RecordView, StudentRecord } from '../figures';
import { lastBy, spansOf, type Kind, type Span } from '../spans';

export interface GroupMoment {
  id: string;
  name: string;
  mark: number;
  /** Who is to be there, in the order of the record, and where each is. */
  students: { id: string; name: string; kind: Kind }[];
  filled: number;
  of: number;
  /** Who of the staff is with it. */
  visitedBy: string[];
  /** Since when it has been asking for help. */
  callingSince: number | null;
}

export interface Moment {
  /** Round that is out; null while everybody is together. */
  round: number | null;
  segment: RecordView['segments'][number]['kind'] | null;
  groups: GroupMoment[];
  /** Where each is while no groups are out. */
  everybody: GroupMoment['students'];
  /** Who is in the main session, and who is nowhere to be seen. */
  together: number;
  away: number;
}

interface Seated {
  student: StudentRecord;
  spans: Span[];
}

/** What is asked of a record again and again is put in order once. */
export interface Replay {
  record: RecordView;
  seated: Seated[];
  /** What happened to each group, in the order of time. */
  progress: Map<string, RecordView['progress']>;
  visits: Map<string, RecordView['visits']>;
  calls: Map<string, RecordView['calls']>;
  staff: Map<string, string>;
}

function byGroup<T extends { group: string }>(all: T[]): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const one of all) {
    const list = groups.get(one.group);
    if (list === undefined) groups.set(one.group, [one]);
    else list.push(one);
  }
  return groups;
}

export const replayOf = (record: RecordView): Replay => ({
  record,
  seated: record.students.map((student) => ({ student, spans: spansOf(student, record) })),
  progress: byGroup(record.progress),
  visits: byGroup(record.visits),
  calls: byGroup(record.calls),
  staff: new Map(record.staff.map((one) => [one.id, one.name])),
});

/** The group somebody is to be in: the one they are in, or were in last before that moment in this run, or come to. */
function groupAt(spans: Span[], moment: number, from: number, to: number): string | null {
  const until = spans.filter((span) => span.group !== null && span.to > from && span.from < to);
  return (lastBy(until, moment, (span) => span.from) ?? until[0])?.group ?? null;
}

function groupMoment(
  replay: Replay,
  group: { id: string; name: string; mark: number },
  figures: GroupRecord | undefined,
  students: GroupMoment['students'],
  moment: number,
): GroupMoment {
  const step = lastBy(replay.progress.get(group.id) ?? [], moment, (one) => one.at);
  const call = replay.calls.get(group.id)?.find((one) => one.at <= moment && moment < one.until);
  const visits = (replay.visits.get(group.id) ?? []).filter((one) => one.from <= moment && moment < one.to);
  return {
    id: group.id,
    name: group.name,
    mark: group.mark,
    students,
    filled: step?.filled ?? 0,
    of: step?.of ?? figures?.of ?? 0,
    visitedBy: visits.map((one) => replay.staff.get(one.teacher) ?? ''),
    callingSince: call?.at ?? null,
  };
}

/** @param moment milliseconds since 1970 */
export function momentOf(replay: Replay, moment: number): Moment {
  const { record } = replay;
  const run = record.runs.find((one) => one.from <= moment && moment < one.to);
  const segment = lastBy(record.segments, moment, (one) => one.from)?.kind ?? null;
  const members = new Map<string, GroupMoment['students']>();
  const everybody: GroupMoment['students'] = [];
  let together = 0;
  let away = 0;
  for (const { student, spans } of replay.seated) {
    const kind = lastBy(spans, moment, (span) => span.from)?.kind ?? 'away';
    if (kind === 'main') together += 1;
    if (kind === 'away') away += 1;
    if (run === undefined) {
      everybody.push({ id: student.student, name: student.name, kind });
      continue;
    }
    const group = groupAt(spans, moment, run.from, run.to) ?? student.group;
    if (group === null) continue;
    const list = members.get(group) ?? [];
    list.push({ id: student.student, name: student.name, kind });
    members.set(group, list);
  }
  return {
    round: run?.round ?? null,
    segment,
    groups: (run?.groups ?? []).map((group) =>
      groupMoment(
        replay,
        group,
        record.groups.find((one) => one.group === group.id && one.round === run?.round),
        members.get(group.id) ?? [],
        moment,
      ),
    ),
    everybody,
    together,
    away,
  };
}
