// Who has come while groups are out, and the place found for them.
import { useQuery } from '@tanstack/react-query';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { list } from '../../../words/list';
import { RepairSheet, useRepair } from '../../grouping/Repair';
import type { FloorControl } from '../../grouping/floor/useFloor';
import { lateStudents } from './lateStudents';

type Lesson = Schema['LessonView'];

/** Who has come while groups are out and has no seat: the place found for them, one press away. */
export function Late({ lesson, control }: { lesson: Lesson; control: FloorControl }) {
  const late = lateStudents(lesson);
  const repair = useRepair(lesson.floor.id, (round) => control.take('repair', [round]));
  const found = useQuery({
    queryKey: ['repair', lesson.floor.id, lesson.floor.step, ...late.map((one) => one.id)],
    queryFn: () => take(api.POST('/api/staff/groupings/{id}/repair', { params: { path: { id: lesson.floor.id } } })),
    enabled: late.length > 0,
    staleTime: Infinity,
  });
  if (late.length === 0) return null;
  const nameOf = (id: string) => lesson.students.find((one) => one.id === id)?.name ?? '';
  const { data } = found;
  const round = data?.round ?? null;
  // What only seats who is late is one press; what moves others is looked at first.
  const plain = data?.moves.length === 0 && data.leaving.length === 0 ? data.arrivals : [];
  const [only] = plain;
  return (
    <section aria-label={m.round_late_title()} className="mb-4 border-2 border-ink bg-wash p-3">
      <div role="status">
        <p className="font-semibold wrap-anywhere">
          {m.round_late_noSeat({ names: list(late.map((one) => one.name)), n: late.length })}
        </p>
      </div>
      <Button
        className="mt-2 w-full text-start wrap-anywhere"
        busy={found.isPending || control.busy || repair.busy}
        onClick={() => (round !== null && only !== undefined ? control.take('repair', [round]) : repair.ask())}
      >
        {only === undefined
          ? m.round_late_find()
          : plain.length === 1
            ? m.round_late_seat({ name: nameOf(only.student), group: only.to })
            : m.round_late_seatAll({ n: plain.length })}
      </Button>
      <RepairSheet repair={repair} nameOf={nameOf} />
    </section>
  );
}
