import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { list, words } from '../../words';

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
      {words.door.hereThough(list(here.map((student) => student.name)), here.length)}{' '}
      <Button look="quiet" onClick={() => here.forEach(onHere)}>
        {words.door.notAbsent(here.length)}
      </Button>
    </p>
  );
}
