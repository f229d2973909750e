// Asks whose a name is that a device has come in under.
import { Action } from '../../../ui/slips/Actions';
import { ChooseStudent } from '../../../ui/fields/ChooseStudent';
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
    <>
      <div className="flex items-center gap-2 px-2 py-1">
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
      <Action
        onPress={() => {
          door.free.mutate(student);
          onClose();
        }}
      >
        {m.roster_free()}
      </Action>
    </>
  );
}
