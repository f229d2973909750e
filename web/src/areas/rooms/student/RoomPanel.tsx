// A student's room in their own page: join, hear and be heard, leave.
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import type { Schema } from '../../../api/client';
import { hear } from '../../../api/stream/studentStream';
import { Button } from '../../../ui/Button';
import { Ear } from '../../../ui/signs/Ear';
import * as m from '#messages';
import { isMicrophoneTried, noteMicrophoneTried } from '../own/microphone';
import { MicrophoneCheck } from '../own/MicrophoneCheck';
import { MAIN, placeOf } from '../own/place';
import { RecordedNote } from '../own/RecordedNote';
import { RoomControls } from '../own/RoomControls';
import { RoomPeople } from '../own/RoomPeople';
import type { StayState } from '../own/roomStay';
import { useComingsAndGoings } from '../own/useComingsAndGoings';
import { useRecorded } from '../own/useRecorded';
import { AskToSpeak } from './AskToSpeak';
import { MyCaptions } from './MyCaptions';
import { noteSeen, roomStay, tellOutcome } from './stay';

type Now = Schema['StudentNow'];

interface Props {
  now: Now;
  /** Of the round. */
  phase: string;
  serverNow: number;
}

const mayNotSpeak = ({ speaking }: Now) => speaking.muted && !speaking.given;

/** Follows the student from room to room, whatever the page shows meanwhile. */
function RoomKeeper({ now, phase, serverNow }: Props) {
  const place = placeOf(now, phase, serverNow);
  useEffect(() => noteSeen(now.seenIn), [now.seenIn]);
  useEffect(() => roomStay.follow(place, place === MAIN), [place]);
  useEffect(() => {
    if (now.takesIn) roomStay.takeIn();
  }, [now.takesIn, place]);
  const isMuted = place === MAIN && mayNotSpeak(now);
  useEffect(() => {
    if (isMuted) void roomStay.setMicrophone(false);
  }, [isMuted]);
  return null;
}

/** One press, which browsers want before they play or record anything. The first time, the microphone is tried. */
function Join({ isMain, isYoung, problem }: { isMain: boolean; isYoung: boolean; problem: StayState['problem'] }) {
  const [busy, setBusy] = useState(false);
  const [isChecking, setIsChecking] = useState(false);
  const join = (withMicrophone: boolean) => {
    setBusy(true);
    void roomStay.join(withMicrophone ? 'on' : 'none').finally(() => setBusy(false));
  };
  if (isChecking)
    return (
      <MicrophoneCheck
        busy={busy}
        onOutcome={tellOutcome}
        onDone={(withMicrophone) => {
          noteMicrophoneTried();
          join(withMicrophone && !isMain);
        }}
      />
    );
  const isFirst = !isMain && !isYoung && !isMicrophoneTried();
  return (
    <div className="flex flex-col gap-2">
      <Button
        look="main"
        className="w-full py-5 text-xl"
        busy={busy}
        aria-label={isMain ? m.room_joinMain() : m.room_join()}
        onClick={() => (isFirst ? setIsChecking(true) : join(!isMain))}
      >
        {isYoung ? (
          <span className="flex justify-center">
            <Ear className="size-28" />
          </span>
        ) : isMain ? (
          m.room_joinMain()
        ) : (
          m.room_join()
        )}
      </Button>
      {!isMain && !isYoung && !isFirst && (
        <Button look="quiet" className="self-center" busy={busy} onClick={() => join(false)}>
          {m.room_joinListening()}
        </Button>
      )}
      {isMain && !isYoung && !isMicrophoneTried() && (
        <Button look="quiet" className="self-center" onClick={() => setIsChecking(true)}>
          {m.room_tryMicrophone()}
        </Button>
      )}
      {problem !== null && <p role="alert">{m.room_problem({ key: problem })}</p>}
    </div>
  );
}

function statusOf(stay: StayState, others: number): string {
  const { call } = stay;
  if (call === null || call.phase === 'entering') return m.room_connecting();
  if (call.phase !== 'in') return m.room_lost();
  return others === 0 ? m.room_nobodyYet() : m.room_with();
}

function Inside({ stay, speaking }: { stay: StayState; speaking: Schema['MySpeaking'] | null }) {
  const { call } = stay;
  const people = call?.people;
  const others = useMemo(() => [...(people?.values() ?? [])], [people]);
  const comings = useComingsAndGoings(others, call?.phase === 'in');
  const recorded = useRecorded(call?.entered ?? null, hear);
  return (
    <section
      aria-label={m.room_title()}
      data-room={call?.phase}
      className="flex flex-col gap-2 border-2 border-ink p-3"
    >
      {recorded && <RecordedNote />}
      {call?.isSpokenTo === true && (
        <p role="status" className="bg-ink px-2 py-1 font-semibold text-ground">
          {m.room_spokenTo()}
        </p>
      )}
      <p role="status" className="text-sm text-soft">
        {statusOf(stay, others.length)}
      </p>
      {others.length > 0 && <RoomPeople people={others} />}
      <p role="status" className="sr-only">
        {comings}
      </p>
      {stay.place !== null && <MyCaptions place={stay.place} />}
      {call?.isToPress === true && (
        <Button look="main" className="w-full py-3" onClick={() => roomStay.play()}>
          {m.room_pressToHear()}
        </Button>
      )}
      {stay.problem !== null && <p role="alert">{m.room_problem({ key: stay.problem })}</p>}
      {speaking?.given === true && (
        <p role="alert" className="bg-attention px-2 py-1 font-semibold text-on-accent">
          {m.room_yours()}
        </p>
      )}
      <RoomControls
        stay={roomStay}
        state={stay}
        mayShare={call?.mayShare ?? false}
        muted={speaking?.muted === true && !speaking.given ? <AskToSpeak speaking={speaking} /> : undefined}
        onLeave={() => roomStay.leave()}
      />
    </section>
  );
}

/** What is seen of the room where the student belongs now. */
function SeenRoom({ now, phase, serverNow }: Props) {
  const stay = useSyncExternalStore(roomStay.subscribe, roomStay.snapshot);
  const place = placeOf(now, phase, serverNow);
  if (place === null) return null;
  return stay.isJoined && stay.problem !== 'elsewhere' ? (
    <Inside stay={stay} speaking={place === MAIN ? now.speaking : null} />
  ) : (
    <Join isMain={place === MAIN} isYoung={now.young !== null} problem={stay.problem} />
  );
}

/** The room where the student belongs now: what is seen of it, or (`keeps`) what keeps the page in it. */
export default function RoomPanel({ keeps, ...props }: Props & { keeps: boolean }) {
  return keeps ? <RoomKeeper {...props} /> : <SeenRoom {...props} />;
}
