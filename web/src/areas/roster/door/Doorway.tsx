// Who waits at the door, for the teacher.
import { useState } from 'react';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { ChooseStudent } from '../../../ui/fields/ChooseStudent';
import * as m from '#messages';
import type { useDoor } from './useDoor';

interface Named {
  id: string;
  name: string;
}
type Door = ReturnType<typeof useDoor>;

function Guest({ guest, students, door }: { guest: Schema['DoorwayView']; students: Named[]; door: Door }) {
  const [chosen, setChosen] = useState<string | null>(guest.student);
  const busy = door.letIn.isPending || door.notNow.isPending || door.asGuest.isPending;
  return (
    <li className="border-t border-line py-2">
      <p className="font-semibold wrap-anywhere">{m.door_typed({ name: guest.typed })}</p>
      {guest.odd && <p className="text-sm">{m.door_odd()}</p>}
      {guest.taken && <p className="text-sm text-soft">{m.door_doubly()}</p>}
      <div className="mt-1 flex items-center gap-2">
        <span className="shrink-0 text-sm">{m.door_thisIs()}</span>
        <ChooseStudent
          label={m.door_whoIs({ typed: guest.typed })}
          students={students}
          chosen={chosen}
          onChoose={setChosen}
        />
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button
          disabled={chosen === null}
          busy={busy}
          onClick={() => chosen !== null && door.letIn.mutate({ guest: guest.id, student: chosen })}
        >
          {m.door_letIn()}
        </Button>
        {guest.student === null && (
          <Button look="quiet" busy={busy} onClick={() => door.asGuest.mutate(guest.id)}>
            {m.door_guest()}
          </Button>
        )}
        <Button look="quiet" busy={busy} onClick={() => door.notNow.mutate(guest.id)}>
          {m.door_notNow()}
        </Button>
      </div>
    </li>
  );
}

/** Who waits at the door, because the list does not know the name or another device has it. */
export function Doorway({
  guests,
  students,
  door,
  shut,
}: {
  guests: Schema['DoorwayView'][];
  /** Nobody who is not on the list can wait. */
  shut: boolean;
  students: Named[];
  door: Door;
}) {
  const shutLine = shut && (
    <p className="mb-3 flex flex-wrap items-center gap-x-3 gap-y-1 text-sm">
      {m.door_shut()}
      <Button look="quiet" busy={door.letWait.isPending} onClick={() => door.letWait.mutate()}>
        {m.door_letWait()}
      </Button>
    </p>
  );
  if (guests.length === 0) return shutLine || null;
  const strangers = guests.filter((guest) => guest.student === null).length;
  const clear = guests.filter((guest) => guest.student !== null && !guest.taken);
  return (
    <section aria-label={m.door_waiting({ n: guests.length })} className="mb-4 border-2 border-ink bg-wash p-3">
      <div role="status">
        <h2 className="font-head font-semibold">{m.door_waiting({ n: guests.length })}</h2>
      </div>
      {clear.length > 1 && (
        <Button className="mt-2" busy={door.letAllIn.isPending} onClick={() => door.letAllIn.mutate()}>
          {m.door_letAllIn({ n: clear.length })}
        </Button>
      )}
      {shutLine}
      {strangers > 0 && !shut && (
        <Button
          look="quiet"
          className="mt-1 -ms-2 text-start text-sm"
          busy={door.shutOut.isPending}
          onClick={() => door.shutOut.mutate()}
        >
          {m.door_shutOut({ n: strangers })}
        </Button>
      )}
      <ul className="mt-1 max-h-80 overflow-y-auto">
        {guests.map((guest) => (
          <Guest key={guest.id} guest={guest} students={students} door={door} />
        ))}
      </ul>
    </section>
  );
}
