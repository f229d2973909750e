import type { Schema } from '../../api/client';
import { Sign } from '../../ui/Sign';
import * as m from '#messages';
import { placeOf, type Student } from './NameTag';

/**
 * The floor as a list, with the same actions behind each name: for screen readers, keyboards and very large classes.
 */
export function FloorList({
  floor,
  students,
  live,
  note,
  onOpenTag,
}: {
  floor: Schema['FloorView'];
  students: Student[];
  live: boolean;
  note: (student: Student) => string;
  onOpenTag: (student: Student, at: DOMRect) => void;
}) {
  const seat = new Map(
    floor.groups.flatMap((group) => group.students.map((id, i) => [id, { group, number: i + 1 }] as const)),
  );
  const sorted = [...students].sort((a, b) => {
    const [x, y] = [seat.get(a.id), seat.get(b.id)];
    return (x?.group.number ?? 999) - (y?.group.number ?? 999) || (x?.number ?? 0) - (y?.number ?? 0);
  });
  return (
    <table className="w-full max-w-3xl border-collapse border-y-2 border-ink bg-sheet">
      <thead>
        <tr className="border-b border-ink text-start text-sm">
          <th scope="col" className="px-3 py-1.5">
            {m.floor_group()}
          </th>
          <th scope="col" className="px-3 py-1.5">
            {m.floor_seat()}
          </th>
          <th scope="col" className="px-3 py-1.5">
            {m.floor_student()}
          </th>
          {live && (
            <th scope="col" className="px-3 py-1.5">
              {m.floor_where()}
            </th>
          )}
        </tr>
      </thead>
      <tbody>
        {sorted.map((student) => {
          const at = seat.get(student.id);
          return (
            <tr key={student.id} className="border-b border-line last:border-0">
              <td className="px-3 py-1">
                {at === undefined ? (
                  <span className="text-soft">{student.absent ? m.floor_away() : m.floor_shelf()}</span>
                ) : (
                  <span className="flex items-center gap-2">
                    <Sign mark={at.group.mark} size={16} /> {at.group.name}
                  </span>
                )}
              </td>
              <td className="px-3 py-1 tabular-nums">{at?.number}</td>
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
        })}
      </tbody>
    </table>
  );
}
