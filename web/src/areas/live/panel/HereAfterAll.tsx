import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { list } from '../../../words/list';

/** Somebody came in who is marked absent: the teacher decides. */
export function HereAfterAll({
  students,
  onHere,
}: {
  students: Schema['SeatedStudent'][];
  onHere: (student: Schema['SeatedStudent']) => void;
}) {
  const here = students.filter((student) => student.absent && student.claimed);
  if (here.length === 0) return null;
  return (
    <p role="status" className="mb-4 border-2 border-ink bg-wash p-3 text-sm">
      {m.door_hereThough({ names: list(here.map((student) => student.name)), n: here.length })}{' '}
      <Button look="quiet" onClick={() => here.forEach(onHere)}>
        {m.door_notAbsent({ n: here.length })}
      </Button>
    </p>
  );
}
