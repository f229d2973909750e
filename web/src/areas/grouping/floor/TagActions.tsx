// What can be done with a name tag.
import { ChooseStudent } from '../../../ui/fields/ChooseStudent';
import type { ReactNode } from 'react';
import type { Schema } from '../../../api/client';
import { Sign } from '../../../ui/signs/Sign';
import * as m from '#messages';
import { Action, ActionSection } from '../../../ui/slips/Actions';
import { Beside } from '../../../ui/slips/Beside';
import type { Edit } from './floorMoves';
import type { Student } from './NameTag';
import type { Effect } from './Table';

/** What a move would mean, in a word. */
function MoveNote({ effect }: { effect: Effect | undefined }) {
  if (effect === undefined) return null;
  if (effect.breaks.length > 0) {
    return (
      <span className="ms-auto bg-lost-wash px-1 text-end text-xs text-lost">
        {m.floor_breaks({ rules: effect.breaks.join('; ') })}
      </span>
    );
  }
  if (effect.trend === 0) return null;
  return <span className="ms-auto text-xs text-soft">{effect.trend > 0 ? m.floor_better() : m.floor_worse()}</span>;
}

interface TagProps {
  student: Student;
  floor: Schema['FloorView'];
  students: Student[];
  effects?: ReadonlyMap<string, Effect> | undefined;
}

/** Where else the student can sit, and whether the seat stays theirs when groups are made anew. */
function SeatActions({ student, floor, students, effects, onEdit }: TagProps & { onEdit: (edit: Edit) => void }) {
  const own = floor.groups.find((group) => group.students.includes(student.id));
  const fixed = floor.fixed.includes(student.id);
  const others = students.filter(
    (one) => one.id !== student.id && own?.students.includes(one.id) !== true && !one.absent,
  );
  return (
    <ActionSection title={m.floor_seatSection()}>
      {own !== undefined && (
        <>
          <Action onPress={() => onEdit({ kind: fixed ? 'free' : 'fix', student: student.id })}>
            {fixed ? m.floor_unfix() : m.floor_fix()}
          </Action>
          <Action onPress={() => onEdit({ kind: 'shelve', student: student.id })}>{m.floor_toShelf()}</Action>
        </>
      )}
      {floor.groups
        .filter((group) => group !== own)
        .map((group) => (
          <Action
            key={group.id}
            label={m.floor_moveTo({ name: group.name })}
            onPress={() => onEdit({ kind: 'seat', student: student.id, group: group.id })}
          >
            <Sign mark={group.mark} size={16} /> <span className="min-w-0">{m.floor_moveTo({ name: group.name })}</span>
            <MoveNote effect={effects?.get(group.id)} />
          </Action>
        ))}
      {others.length > 0 && (
        <div className="px-2 pt-2 text-sm">
          <ChooseStudent
            label={m.floor_swapWith()}
            students={others}
            chosen={null}
            onChoose={(other) => other !== null && onEdit({ kind: 'swap', student: student.id, other })}
          />
        </div>
      )}
    </ActionSection>
  );
}

/** Everything that can be done with one name tag. */
export function TagActions({
  at,
  note,
  reasons = [],
  onEdit,
  onAbsent,
  onClose,
  more,
  now,
  ...tag
}: TagProps & {
  at: DOMRect;
  note: string | null;
  reasons?: string[] | undefined;
  onEdit: (edit: Edit) => void;
  onAbsent: (absent: boolean) => void;
  onClose: () => void;
  /** What else can be done with this student, from outside the floor: actions. */
  more?: ReactNode;
  /** What can be done while groups are at work: a section. */
  now?: ReactNode;
}) {
  const { student } = tag;
  return (
    <Beside at={at} title={student.name} onClose={onClose}>
      {note !== null && <p className="mb-2 text-sm text-soft">{note}</p>}
      {reasons.length > 0 && (
        <ul className="mb-3 text-sm text-soft">
          {reasons.map((reason) => (
            <li key={reason}>{reason}</li>
          ))}
        </ul>
      )}
      {now}
      <SeatActions
        {...tag}
        onEdit={(edit) => {
          onEdit(edit);
          onClose();
        }}
      />
      <ActionSection title={m.floor_studentSection()}>
        {more}
        <Action
          onPress={() => {
            onAbsent(!student.absent);
            onClose();
          }}
        >
          {student.absent ? m.floor_markHere() : m.floor_markAbsent()}
        </Action>
      </ActionSection>
    </Beside>
  );
}
