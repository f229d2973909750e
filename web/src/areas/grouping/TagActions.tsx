import { ChooseStudent } from '../../ui/ChooseStudent';
import type { ReactNode } from 'react';
import type { Schema } from '../../api/client';
import { Sign } from '../../ui/Sign';
import * as m from '#messages';
import { Beside } from '../../ui/Beside';
import type { Edit } from './floorMoves';
import type { Student } from './NameTag';
import type { Effect } from './Table';

function Action({ onPress, children }: { onPress: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      onClick={onPress}
      className="flex w-full items-center gap-2 px-2 py-1.5 text-left hover:bg-wash"
    >
      {children}
    </button>
  );
}

/** What a move would mean, in a word. */
function MoveNote({ effect }: { effect: Effect | undefined }) {
  if (effect === undefined) return null;
  if (effect.breaks.length > 0) {
    return (
      <span className="ml-auto bg-accent px-1 text-right text-xs text-on-accent">
        {m.floor_breaks({ rules: effect.breaks.join('; ') })}
      </span>
    );
  }
  if (effect.trend === 0) return null;
  return <span className="ml-auto text-xs text-soft">{effect.trend > 0 ? m.floor_better() : m.floor_worse()}</span>;
}

/** Everything that can be done with one name tag. */
export function TagActions({
  student,
  at,
  floor,
  students,
  note,
  reasons = [],
  effects,
  onEdit,
  onAbsent,
  onClose,
  more,
}: {
  student: Student;
  at: DOMRect;
  floor: Schema['FloorView'];
  students: Student[];
  note: string | null;
  reasons?: string[] | undefined;
  effects?: ReadonlyMap<string, Effect> | undefined;
  onEdit: (edit: Edit) => void;
  onAbsent: (absent: boolean) => void;
  onClose: () => void;
  /** What else can be done with this student, from outside the floor. */
  more?: ReactNode;
}) {
  const own = floor.groups.find((group) => group.students.includes(student.id));
  const fixed = floor.fixed.includes(student.id);
  const act = (edit: Edit) => () => {
    onEdit(edit);
    onClose();
  };
  const others = students.filter(
    (one) => one.id !== student.id && own?.students.includes(one.id) !== true && !one.absent,
  );
  return (
    <Beside at={at} title={student.name} onClose={onClose}>
      {note !== null && <p className="mb-2 text-sm text-soft">{note}</p>}
      {reasons.length > 0 && (
        <ul className="mb-2 border-b border-line pb-2 text-sm text-soft">
          {reasons.map((reason) => (
            <li key={reason}>{reason}</li>
          ))}
        </ul>
      )}
      {own !== undefined && (
        <Action onPress={act({ kind: fixed ? 'free' : 'fix', student: student.id })}>
          {fixed ? m.floor_unfix() : m.floor_fix()}
        </Action>
      )}
      {own !== undefined && <Action onPress={act({ kind: 'shelve', student: student.id })}>{m.floor_toShelf()}</Action>}
      <Action
        onPress={() => {
          onAbsent(!student.absent);
          onClose();
        }}
      >
        {student.absent ? m.floor_markHere() : m.floor_markAbsent()}
      </Action>
      {more}
      <h3 className="mt-2 border-t border-line px-2 pt-2 font-sans text-sm font-semibold">{m.floor_seatAt()}</h3>
      {floor.groups
        .filter((group) => group !== own)
        .map((group) => (
          <Action key={group.id} onPress={act({ kind: 'seat', student: student.id, group: group.id })}>
            <Sign mark={group.mark} size={16} /> <span className="min-w-0">{group.name}</span>
            <MoveNote effect={effects?.get(group.id)} />
          </Action>
        ))}
      {others.length > 0 && (
        <div className="mt-2 border-t border-line px-2 pt-2 text-sm">
          <ChooseStudent
            label={m.floor_swapWith()}
            students={others}
            chosen={null}
            onChoose={(other) => other !== null && act({ kind: 'swap', student: student.id, other })()}
          />
        </div>
      )}
    </Beside>
  );
}
