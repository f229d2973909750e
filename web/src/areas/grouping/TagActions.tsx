import type { ReactNode } from 'react';
import type { Schema } from '../../api/client';
import { Sign } from '../../ui/Sign';
import { words } from '../../words';
import { Beside } from './Beside';
import type { Edit } from './floorMoves';
import type { Student } from './NameTag';

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

/** Everything that can be done with one name tag. */
export function TagActions({
  student,
  at,
  floor,
  students,
  note,
  onEdit,
  onAbsent,
  onClose,
}: {
  student: Student;
  at: DOMRect;
  floor: Schema['FloorView'];
  students: Student[];
  note: string | null;
  onEdit: (edit: Edit) => void;
  onAbsent: (absent: boolean) => void;
  onClose: () => void;
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
      {own !== undefined && (
        <Action onPress={act({ kind: fixed ? 'free' : 'fix', student: student.id })}>
          {fixed ? words.floor.unfix : words.floor.fix}
        </Action>
      )}
      {own !== undefined && (
        <Action onPress={act({ kind: 'shelve', student: student.id })}>{words.floor.toShelf}</Action>
      )}
      <Action
        onPress={() => {
          onAbsent(!student.absent);
          onClose();
        }}
      >
        {student.absent ? words.floor.markHere : words.floor.markAbsent}
      </Action>
      <h3 className="mt-2 border-t border-line px-2 pt-2 font-sans text-sm font-semibold">{words.floor.seatAt}</h3>
      {floor.groups
        .filter((group) => group !== own)
        .map((group) => (
          <Action key={group.id} onPress={act({ kind: 'seat', student: student.id, group: group.id })}>
            <Sign mark={group.mark} size={16} /> {group.name}
          </Action>
        ))}
      {others.length > 0 && (
        <label className="mt-2 block border-t border-line px-2 pt-2 text-sm font-semibold">
          {words.floor.swapWith}
          <select
            className="mt-1 w-full border border-ink bg-sheet px-2 py-1 font-normal"
            value=""
            onChange={(event) => act({ kind: 'swap', student: student.id, other: event.target.value })()}
          >
            <option value="" />
            {others.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </select>
        </label>
      )}
    </Beside>
  );
}
