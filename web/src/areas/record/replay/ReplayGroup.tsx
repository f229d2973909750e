// A group as it was at one moment. It is drawn anew only when something of it has changed.
import clsx from 'clsx';
import { memo } from 'react';
import { markOf } from '../../../ui/signs/marks';
import { Sign } from '../../../ui/signs/Sign';
import * as m from '#messages';
import { list } from '../../../words/list';
import type { Kind } from '../spans';
import type { GroupMoment } from './moment';

/** Where somebody is, told apart without colour: in the group they stand out, elsewhere they are set back. */
const looks: Record<Kind, string> = {
  group: 'bg-sheet border-ink font-semibold',
  main: 'border-dashed border-ink text-soft',
  sideRoom: 'bg-wash border-ink italic',
  elsewhere: 'border-dashed border-attention text-soft',
  away: 'border-transparent text-soft line-through',
};

/**
 * Names, each looking as where they are.
 *
 * @param props.usual where they are to be: nothing is said of it
 */
export function Students({ students, usual }: { students: GroupMoment['students']; usual: Kind }) {
  return (
    <span className="mt-1 flex flex-wrap gap-1.5 text-sm">
      {students.map((student) => (
        <span
          key={student.id}
          title={m.record_where({ key: student.kind })}
          className={clsx('border px-1.5 wrap-anywhere', looks[student.kind === usual ? 'group' : student.kind])}
        >
          {student.name}
          {student.kind !== usual && <span className="sr-only">, {m.record_where({ key: student.kind })}</span>}
        </span>
      ))}
    </span>
  );
}

function sameGroup(one: { group: GroupMoment }, other: { group: GroupMoment }): boolean {
  const [a, b] = [one.group, other.group];
  return (
    a.id === b.id &&
    a.filled === b.filled &&
    a.of === b.of &&
    a.callingSince === b.callingSince &&
    a.visitedBy.join() === b.visitedBy.join() &&
    a.students.length === b.students.length &&
    a.students.every((student, i) => student.id === b.students[i]?.id && student.kind === b.students[i].kind)
  );
}

export const ReplayGroup = memo(function ReplayGroup({
  group,
  onOpen,
}: {
  group: GroupMoment;
  onOpen: (group: GroupMoment) => void;
}) {
  const { colour } = markOf(group.mark);
  return (
    // What is out of sight is not laid out: forty groups come at once when they are sent out.
    <li className="[contain-intrinsic-size:auto_10rem] [content-visibility:auto]">
      <button
        type="button"
        aria-label={m.replay_open({ group: group.name })}
        className="block w-full border-2 p-2.5 text-start hover:bg-wash"
        style={{ borderColor: colour, backgroundColor: `color-mix(in oklab, ${colour} 12%, var(--sheet))` }}
        onClick={() => onOpen(group)}
      >
        <span className="flex items-center gap-2 font-head text-lg">
          <Sign mark={group.mark} size={18} />
          <span className="min-w-0 flex-1 wrap-anywhere">{group.name}</span>
          {group.of > 0 && (
            <span className="font-sans text-sm tabular-nums">
              {group.filled}/{group.of}
            </span>
          )}
        </span>
        {group.of > 0 && (
          <span aria-hidden="true" className="my-1 block h-1.5 bg-line">
            <span
              className="block h-full"
              style={{ width: `${(100 * group.filled) / group.of}%`, backgroundColor: colour }}
            />
          </span>
        )}
        <span className="flex min-h-6 flex-wrap gap-2 text-sm">
          {group.callingSince !== null && (
            <strong className="bg-attention px-1.5 text-on-accent">{m.replay_calling()}</strong>
          )}
          {group.visitedBy.length > 0 && (
            <span className="bg-ink px-1.5 text-ground">{m.replay_visited({ names: list(group.visitedBy) })}</span>
          )}
        </span>
        <Students students={group.students} usual="group" />
      </button>
    </li>
  );
}, sameGroup);
