// A student's room in their own page: join, hear and be heard, leave.
import clsx from 'clsx';
import { useEffect, useState, useSyncExternalStore } from 'react';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { MAIN, placeOf } from '../own/place';
import type { Person } from '../own/people';
import { roomStay, type StayState } from '../own/roomStay';

const useStay = (): StayState => useSyncExternalStore(roomStay.subscribe, roomStay.snapshot);

type Now = Schema['StudentNow'];

interface Props {
  now: Now;
  /** Of the round. */
  phase: string;
  serverNow: number;
}

/** Follows the student from room to room, whatever the page shows meanwhile. */
export function RoomKeeper({ now, phase, serverNow }: Props) {
  const place = placeOf(now, phase, serverNow);
  useEffect(() => roomStay.follow(place, place === MAIN), [place]);
  return null;
}

function PersonTag({ person }: { person: Person }) {
  return (
    <li
      className={clsx(
        'flex items-center gap-1.5 border px-2 py-1',
        person.isSpeaking ? 'border-ink bg-ink text-ground' : 'border-ink bg-sheet',
      )}
    >
      <span className="wrap-anywhere">{person.name}</span>
      {!person.isOn && <span className="text-xs">{m.room_muted()}</span>}
    </li>
  );
}

/** Asks for one press, which browsers want before they play or record anything. */
function Join({ isMain, problem }: { isMain: boolean; problem: StayState['problem'] }) {
  const [busy, setBusy] = useState(false);
  const join = (withMicrophone: boolean) => {
    setBusy(true);
    void roomStay.join(withMicrophone).finally(() => setBusy(false));
  };
  return (
    <div className="flex flex-col gap-2">
      <Button look="main" className="w-full py-5 text-xl" busy={busy} onClick={() => join(!isMain)}>
        {isMain ? m.room_joinMain() : m.room_join()}
      </Button>
      {!isMain && (
        <Button look="quiet" className="self-center" busy={busy} onClick={() => join(false)}>
          {m.room_joinListening()}
        </Button>
      )}
      {problem !== null && <p role="alert">{m.room_problem({ key: problem })}</p>}
    </div>
  );
}

function Inside({ stay }: { stay: StayState }) {
  const { call } = stay;
  const others = [...(call?.people.values() ?? [])];
  const isIn = call?.phase === 'in';
  return (
    <section aria-label={m.room_title()} className="flex flex-col gap-2 border-2 border-ink p-3">
      <p role="status" className="text-sm">
        {!isIn ? m.room_connecting() : others.length === 0 ? m.room_nobodyYet() : m.room_withOthers()}
      </p>
      {others.length > 0 && (
        <ul className="flex flex-wrap gap-1.5">
          {others.map((person) => (
            <PersonTag key={person.id} person={person} />
          ))}
        </ul>
      )}
      {call?.isToPress === true && (
        <Button look="main" className="w-full py-3" onClick={() => roomStay.play()}>
          {m.room_pressToHear()}
        </Button>
      )}
      {stay.problem !== null && <p role="alert">{m.room_problem({ key: stay.problem })}</p>}
      <div className="flex gap-2">
        <Button
          className="flex-1 py-3"
          aria-pressed={stay.isMicrophoneOn}
          onClick={() => void roomStay.setMicrophone(!stay.isMicrophoneOn)}
        >
          {stay.isMicrophoneOn ? m.room_mute() : m.room_unmute()}
        </Button>
        <Button look="quiet" onClick={() => roomStay.leave()}>
          {m.room_leave()}
        </Button>
      </div>
    </section>
  );
}

/** The room where the student belongs now. */
export function RoomPanel({ now, phase, serverNow }: Props) {
  const stay = useStay();
  const place = placeOf(now, phase, serverNow);
  if (place === null) return null;
  return stay.isJoined ? <Inside stay={stay} /> : <Join isMain={place === MAIN} problem={stay.problem} />;
}
