// The room a teacher is in or listens to, on the lesson's page; and speaking to all rooms.
import clsx from 'clsx';
import { useEffect, useMemo, useState, useSyncExternalStore, type KeyboardEvent } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Ear } from '../../../ui/signs/Ear';
import * as m from '#messages';
import { MAIN } from '../own/place';
import { RoomControls } from '../own/RoomControls';
import { RoomPeople } from '../own/RoomPeople';
import { RoomStay } from '../own/roomStay';
import { useComingsAndGoings } from '../own/useComingsAndGoings';
import { CaptionBar } from './CaptionBar';
import { RecordButton } from './RecordButton';
import { SpeakingBar } from './SpeakingBar';
import { useTeacherRoom, setTeacherRoom } from './teacherRoom';

type Lesson = Schema['LessonView'];

const VOICE = 'voice';

const stayIn = (lesson: string) =>
  new RoomStay((place) =>
    take(api.POST('/api/staff/lessons/{id}/rooms/{place}/enter', { params: { path: { id: lesson, place } } })),
  );

/** A stay of this page, over when the page is. */
function useStay(lesson: string) {
  const [stay] = useState(() => stayIn(lesson));
  useEffect(() => () => stay.leave(), [stay]);
  return [stay, useSyncExternalStore(stay.subscribe, stay.snapshot)] as const;
}

function nameOf(lesson: Lesson, place: string): string {
  if (place === MAIN) return m.rooms_mainSession();
  return (
    lesson.floor.groups.find((one) => one.id === place)?.name ??
    lesson.rooms.find((one) => one.id === place)?.name ??
    ''
  );
}

function whereIs(lesson: Lesson, place: string, speaks: boolean): string {
  if (place === MAIN) return speaks ? m.room_youAreInMain() : m.room_youHearMain();
  const name = nameOf(lesson, place);
  return speaks ? m.room_youAreIn({ name }) : m.room_youHear({ name });
}

/** Which room the teacher is in, with whom, and how to leave it. */
export function RoomDock({ lesson }: { lesson: Lesson }) {
  const { place, speaks } = useTeacherRoom();
  const [stay, state] = useStay(lesson.id);
  useEffect(() => {
    stay.leave();
    stay.follow(place, !speaks);
    if (place !== null) void stay.join(speaks ? 'on' : 'none');
  }, [stay, place, speaks]);
  useEffect(() => () => setTeacherRoom(null), []);
  const { call } = state;
  const people = call?.people;
  const others = useMemo(() => [...(people?.values() ?? [])], [people]);
  const comings = useComingsAndGoings(others, call?.phase === 'in');
  if (place === null) return null;
  return (
    <section
      aria-label={m.room_dock({ name: nameOf(lesson, place) })}
      data-room={call?.phase}
      className="flex flex-wrap items-center gap-x-4 gap-y-2 border-y-2 border-ink bg-wash px-5 py-2"
    >
      <p className="flex items-center gap-2 font-semibold">
        {!speaks && <Ear className="size-5" />}
        {whereIs(lesson, place, speaks)}
        {call?.phase !== 'in' && <span className="font-normal text-soft">{m.room_connecting()}</span>}
      </p>
      <div className="flex max-h-32 min-w-72 flex-1 flex-wrap items-center gap-2 overflow-y-auto">
        {others.length > 0 ? (
          <RoomPeople people={others} />
        ) : (
          call?.phase === 'in' && <span className="text-soft">{m.room_empty()}</span>
        )}
      </div>
      <p role="status" className="sr-only">
        {comings}
      </p>
      {call?.isToPress === true && (
        <Button look="main" onClick={() => stay.play()}>
          {m.room_pressToHear()}
        </Button>
      )}
      {state.problem !== null && <p role="alert">{m.room_problem({ key: state.problem })}</p>}
      {place === MAIN && <SpeakingBar lesson={lesson} />}
      <RecordButton lesson={lesson.id} place={place} />
      <CaptionBar lesson={lesson.id} place={place} />
      {speaks ? (
        <RoomControls stay={stay} state={state} mayShare onLeave={() => setTeacherRoom(null)} />
      ) : (
        <>
          <Button onClick={() => setTeacherRoom({ place, speaks: true })}>{m.room_speakHere()}</Button>
          <Button look="quiet" onClick={() => setTeacherRoom(null)}>
            {m.room_stopListening()}
          </Button>
        </>
      )}
    </section>
  );
}

/** Every room hears the teacher while this is held. The first press connects. */
export function SpeakToAll({ lesson }: { lesson: Lesson }) {
  const [stay, state] = useStay(lesson.id);
  const [isHeld, setIsHeld] = useState(false);
  const isReady = state.isJoined && state.call?.phase === 'in' && state.problem === null;
  useEffect(() => {
    if (state.isJoined) void stay.setMicrophone(isHeld);
  }, [stay, state.isJoined, isHeld]);
  const hold = (held: boolean) => {
    if (held && !state.isJoined) {
      stay.follow(VOICE, false);
      void stay.join('off');
    }
    setIsHeld(held);
  };
  const byKey = (held: boolean) => (event: KeyboardEvent) => {
    if (event.key !== ' ' && event.key !== 'Enter') return;
    event.preventDefault();
    if (!event.repeat) hold(held);
  };
  const isHeard = isReady && state.isMicrophoneOn && isHeld;
  return (
    <div className="flex flex-col gap-1">
      <Button
        className={clsx('py-2 select-none', isHeard && 'bg-ink! text-ground')}
        aria-pressed={isHeld}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          hold(true);
        }}
        onPointerUp={() => hold(false)}
        onPointerCancel={() => hold(false)}
        onBlur={() => hold(false)}
        onKeyDown={byKey(true)}
        onKeyUp={byKey(false)}
      >
        {isHeard ? m.room_allHear() : m.room_speakToAll()}
      </Button>
      {isHeld && !isReady && state.problem === null && (
        <p role="status" className="text-sm text-soft">
          {m.room_connecting()}
        </p>
      )}
      {state.problem !== null && <p role="alert">{m.room_problem({ key: state.problem })}</p>}
    </div>
  );
}
