// A student's page: where to be, with whom, and what to work on.
import { Suspense, useEffect, useState, type ReactNode } from 'react';
import { secondsUntil, useServerNow } from '../../../api/clock';
import type { Schema, Whole } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { drawer } from '../../../ui/drawer';
import { Duration } from '../../../ui/signs/Duration';
import { lazily } from '../../../ui/later/lazily';
import { LineNote } from '../../../ui/page/LineNote';
import { Wordmark } from '../../../ui/page/Wordmark';
import * as m from '#messages';
import { JoinPage } from '../../roster/student/JoinPage';
import type { AroundStudent } from '../laterParts';
import { comingBackUntil, phaseOf, type Phase } from '../phase';
import { Aside } from './Aside';
import { Fetched, placeNow } from './Fetched';
import { Notice } from './Notice';
import { NowPage } from './NowPage';
import { isOwn, SheetView, useSheetScript } from './SheetView';
import { useMoved } from './useMoved';
import { useNow } from './useNow';

/** Seldom. */
const OtherDevice = lazily(() => import('./OtherDevice'));
const YoungPage = lazily(() => import('./YoungPage'));
const MovedNote = lazily(() => import('./MovedNote'));
const AsideSoon = lazily(() => import('./AsideSoon'));
const RoomPanel = lazily(() => import('../../rooms/student/RoomPanel'));
const Earlier = lazily(() => import('../../materials/student/Earlier'));

type Now = Schema['StudentNow'];

function ComingBack({ seconds, now }: { seconds: number; now: Now }) {
  return (
    <div role="alert" className="sticky top-0 z-10 -mx-5 -mt-5 mb-5 bg-ink px-5 py-4 text-ground">
      <p className="text-lg">{m.student_now_comingBack()}</p>
      <p className="text-5xl font-bold tabular-nums" aria-hidden="true">
        <Duration seconds={seconds} />
      </p>
      {now.mainSession.way !== 'here' && <p className="mt-1 text-sm">{m.student_now_microphones()}</p>}
    </div>
  );
}

/** In the place of a copy's id. */
const earlierSheets = 'earlier';
const sheetInAddress = () => /^#sheet=?(.*)$/.exec(window.location.hash)?.[1] ?? null;

/** When everybody is called back the sheet makes way for the page that says where to go. */
function useSheetOpen(phase: Phase): [string | null, (open: string | null) => void] {
  const [open, setOpen] = useState(sheetInAddress);
  useEffect(() => {
    const moved = () => setOpen(sheetInAddress());
    window.addEventListener('hashchange', moved);
    return () => window.removeEventListener('hashchange', moved);
  }, []);
  const set = (to: string | null) => {
    window.history.replaceState(null, '', to === null ? window.location.pathname : `#sheet=${to}`);
    setOpen(to);
  };
  const [before, setBefore] = useState(phase);
  if (before !== phase) {
    setBefore(phase);
    if (phase === 'back' && open !== null) set(null);
  }
  return [open, set];
}

/** Whoever is inside is not shown the door while the page comes up the next time (student.html). */
function useInsideMark(outside: boolean, now: Now | null) {
  useEffect(() => {
    const inside = drawer('inside');
    if (outside) inside.clear();
    else if (now !== null) inside.save('yes');
  }, [outside, now]);
}

/** When a phase begins by the clock, there may be more to know: the group's name, the room. */
function usePhaseBegin(phase: Phase, look: () => void) {
  useEffect(() => {
    if (phase !== 'planned') look();
  }, [phase, look]);
  useEffect(() => {
    if (phase === 'comingBack' && 'vibrate' in navigator) navigator.vibrate([200, 100, 200]);
  }, [phase]);
}

interface Shown {
  now: Now;
  phase: Phase;
  serverNow: number;
  look: () => void;
  /** The room the student is in, or can join, in this page; false: rooms are elsewhere. */
  room: ReactNode;
}

/** What stands over the page until it has passed or been read. */
function Calls({ now, phase, serverNow, look, onSheet }: Omit<Shown, 'room'> & { onSheet: boolean }) {
  const isOut = phase === 'out' || phase === 'comingBack';
  const seconds = secondsUntil(now.moments === null ? null : comingBackUntil(now.moments), serverNow);
  const { aside } = now;
  const hasCome = aside !== null && aside.from <= serverNow;
  return (
    <>
      {now.otherDevice !== null && (
        <Suspense>
          <OtherDevice guest={now.otherDevice} onDone={look} />
        </Suspense>
      )}
      {phase === 'comingBack' && <ComingBack seconds={seconds} now={now} />}
      {phase === 'out' && aside !== null && !hasCome && (
        <Suspense>
          <AsideSoon aside={aside} serverNow={serverNow} />
        </Suspense>
      )}
      {isOut && onSheet && aside !== null && hasCome && (
        <div role="alert" className="mb-5 border-2 border-ink bg-sheet p-4">
          <Aside now={now} aside={aside} />
        </div>
      )}
      {!now.over && now.lesson !== null && (
        <Fetched now={now} place={placeNow(now, isOut, serverNow)} serverNow={serverNow} />
      )}
      {phase !== 'back' && <Notice notices={now.notices} serverNow={serverNow} />}
    </>
  );
}

/** Where to be, and the way to earlier work. */
function Whereabouts({ now, phase, serverNow, look, room, onSheet }: Shown & { onSheet: (sheet: string) => void }) {
  const page = { now, phase, serverNow, room, onSheet, onLeft: look, onLook: look };
  const hasTime = phase === 'planned' || phase === 'back';
  return (
    <>
      {now.young === null ? (
        <NowPage {...page} />
      ) : (
        <Suspense>
          <YoungPage {...page} young={now.young} />
        </Suspense>
      )}
      {hasTime && now.young === null && (
        <Button look="quiet" className="mt-8 -ms-2" onClick={() => onSheet(earlierSheets)}>
          {m.student_now_earlier()}
        </Button>
      )}
    </>
  );
}

/** What the student looks at: earlier work, that they were moved, a worksheet, or where to be. */
function Body({
  copies,
  sheet,
  onSheet,
  ...shown
}: Shown & { copies: Whole<Schema['CopyView']>[]; sheet: string | null; onSheet: (sheet: string | null) => void }) {
  const { now, phase, serverNow } = shown;
  const { moved, read } = useMoved(now.group, copies, now.id, sheet !== null);
  const copy = sheet === null ? undefined : (copies.find((one) => one.id === sheet) ?? copies[0]);
  if (sheet === earlierSheets) {
    return (
      <Suspense>
        <Earlier me={now.id} onBack={() => onSheet(null)} />
      </Suspense>
    );
  }
  if (moved !== null && now.group !== null && phase !== 'back') {
    const go = () => {
      read();
      onSheet(null);
    };
    return (
      <Suspense>
        <MovedNote moved={moved} group={now.group} onGo={go} />
      </Suspense>
    );
  }
  if (copy !== undefined && (isOwn(now, copy) || (now.group !== null && phase !== 'planned')))
    return (
      <>
        {shown.room}
        <SheetView now={now} phase={phase} serverNow={serverNow} copy={copy} onOpen={onSheet} />
      </>
    );
  return <Whereabouts {...shown} onSheet={onSheet} />;
}

/** The page with nothing around it. */
const Alone = ({ children }: { children: ReactNode }) => children;

/**
 * @param props.outside it is known already that this device has no name
 * @param props.typed   what was typed at the door before our scripts were here
 */
export function StudentApp({
  outside: isOutside = false,
  typed = '',
  Around = Alone,
}: {
  outside?: boolean;
  typed?: string;
  /** What an area after this one puts around the page. */
  Around?: AroundStudent;
}) {
  const { now, copies, outside, look } = useNow(isOutside);
  useInsideMark(outside, now);
  const serverNow = useServerNow();
  const phase = phaseOf(now?.moments ?? null, serverNow);
  const [sheet, setSheet] = useSheetOpen(phase);
  usePhaseBegin(phase, look);
  useSheetScript(copies.length > 0);
  const line = <LineNote slow={m.student_lineSlow()} down={m.student_lineDown()} />;
  if (outside) return <JoinPage onJoined={look} typed={typed} />;
  if (now === null) {
    return (
      <main className="p-5">
        {line}
        <Wordmark />
        <p className="mt-6 text-soft">{m.student_loading()}</p>
      </main>
    );
  }
  const meetsHere = [now.mainSession, now.group?.room, now.aside?.room].some((room) => room?.way === 'here');
  const at = { now, phase, serverNow };
  const roomIn = (keeps: boolean) =>
    meetsHere && (
      <Suspense>
        <RoomPanel {...at} keeps={keeps} />
      </Suspense>
    );
  const shown = { ...at, look, room: roomIn(false) };
  return (
    <main className="mx-auto min-h-screen w-full max-w-xl p-5">
      {line}
      {roomIn(true)}
      <Around now={now}>
        <Calls {...shown} onSheet={sheet !== null} />
        <Body {...shown} copies={copies} sheet={sheet} onSheet={setSheet} />
      </Around>
    </main>
  );
}
