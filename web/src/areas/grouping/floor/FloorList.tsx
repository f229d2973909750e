// The floor as a list.
import type { Schema } from '../../../api/client';
import { Sign } from '../../../ui/signs/Sign';
import * as m from '#messages';
import { placeOf, type Student } from './NameTag';

interface Seat {
  group: Schema['FloorView']['groups'][number];
  /** From 1. */
  number: number;
}

interface Shown {
  floor: Schema['FloorView'];
  live: boolean;
  note: (student: Student) => string;
  onOpenTag: (student: Student, at: DOMRect) => void;
}

function Line({ student, seat, floor, live, note, onOpenTag }: Shown & { student: Student; seat: Seat | undefined }) {
  return (
    <tr className="border-b border-line last:border-0">
      <td className="px-3 py-1">
        {seat === undefined ? (
          <span className="text-soft">{student.absent ? m.floor_away() : m.floor_shelf()}</span>
        ) : (
          <span className="flex items-center gap-2">
            <Sign mark={seat.group.mark} size={16} /> {seat.group.name}
          </span>
        )}
      </td>
      <td className="px-3 py-1 tabular-nums">{seat?.number}</td>
      <td className="px-3 py-1">
        <button
          type="button"
          aria-haspopup="dialog"
          className="text-start underline decoration-line underline-offset-4 wrap-anywhere hover:decoration-ink"
          onClick={(event) => onOpenTag(student, event.currentTarget.getBoundingClientRect())}
        >
          {student.name}
        </button>
        {floor.fixed.includes(student.id) && <span className="ms-2 text-xs text-soft">{m.floor_fixed()}</span>}
      </td>
      {live && (
        <td className={`px-3 py-1 text-sm ${placeOf(student) === 'lost' ? 'font-semibold text-lost' : ''}`}>
          {note(student)}
        </td>
      )}
    </tr>
  );
}

/**
 * The floor as a list, with the same actions behind each name: for screen readers, keyboards and very large classes.
 */
export function FloorList({ students, ...shown }: Shown & { students: Student[] }) {
  const { floor, live } = shown;
  const seats = new Map(
    floor.groups.flatMap((group) => group.students.map((id, i): [string, Seat] => [id, { group, number: i + 1 }])),
  );
  const sorted = [...students].sort((a, b) => {
    const [x, y] = [seats.get(a.id), seats.get(b.id)];
    return (x?.group.number ?? 999) - (y?.group.number ?? 999) || (x?.number ?? 0) - (y?.number ?? 0);
  });
  const heads = [m.floor_group(), m.floor_seat(), m.floor_student(), ...(live ? [m.floor_where()] : [])];
  return (
    <table className="w-full max-w-3xl border-collapse border-y-2 border-ink bg-sheet">
      <thead>
        <tr className="border-b border-ink text-start text-sm">
          {heads.map((head) => (
            <th key={head} scope="col" className="px-3 py-1.5">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {sorted.map((student) => (
          <Line key={student.id} student={student} seat={seats.get(student.id)} {...shown} />
        ))}
      </tbody>
    </table>
  );
}
