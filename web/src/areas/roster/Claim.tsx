import { Button } from '../../ui/Button';
import { ChooseStudent } from '../../ui/ChooseStudent';
import * as m from '#messages';
import type { useDoor } from './useDoor';

interface Named {
  id: string;
  name: string;
}

/** A device has come in under this name: whose is it? */
export function Claim({
  student,
  students,
  door,
  onClose,
}: {
  student: Named;
  students: Named[];
  door: ReturnType<typeof useDoor>;
  onClose: () => void;
}) {
  return (
    <div className="mt-2 border-t border-line px-2 pt-2 text-sm">
      <div className="flex items-center gap-2">
        <span className="shrink-0">{m.door_reallyIs()}</span>
        <ChooseStudent
          label={m.door_whoReally({ name: student.name })}
          students={students.filter((one) => one.id !== student.id)}
          chosen={null}
          onChoose={(really) => {
            if (really === null) return;
            door.correct.mutate({ id: student.id, really });
            onClose();
          }}
        />
      </div>
      <Button
        look="quiet"
        className="mt-1 -ml-2"
        onClick={() => {
          door.free.mutate(student);
          onClose();
        }}
      >
        {m.roster_free()}
      </Button>
    </div>
  );
}
