import { Suspense, useEffect, useState, type ReactNode } from 'react';
import { useServerNow } from '../../../api/clock';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Sign } from '../../../ui/Sign';
import { Wordmark } from '../../../ui/Wordmark';
import * as m from '#messages';
import { MediaContext } from '../../materials/media';
import { mediaOf } from '../../materials/student/mediaOf';
import { JoinPage } from '../../roster/student/JoinPage';
import { clockOf, comingBackUntil, phaseOf, type Phase } from '../phase';
import { secondsUntil } from '../../../api/clock';
import { Duration } from '../../../ui/Duration';
import { drawer } from '../../../ui/drawer';
import { lazily } from '../../../ui/lazily';
import { LineNote } from '../../../ui/LineNote';
import { useShown } from '../../../ui/useShown';
import { Aside, AsideSoon } from './Aside';
import { Fetched, placeNow } from './Fetched';
import { GoButton } from './GoButton';
import { NowPage } from './NowPage';
import { useMoved } from './useMoved';
import { useNow } from './useNow';

/** Seldom. */
const OtherDevice = lazily(() => import('./OtherDevice'));
const YoungPage = lazily(() => import('./YoungPage'));
const MovedNote = lazily(() => import('./MovedNote'));
const Earlier = lazily(() => import('../../materials/student/Earlier'));
const loadSheet = () => import('../../materials/student/CopyPage').then((file) => ({ default: file.CopyPage }));
const CopyPage = lazily(loadSheet);

const noticeShownFor = 900_000;
const readUpTo = drawer('notice.read');
const seenUpTo = drawer('notice.seen');

/** What the teacher says to everybody stays in view, wherever the page is scrolled to, until it has been read. */
function Notice({ notices, serverNow }: { notices: Schema['NoticeView'][]; serverNow: number }) {
  const [read, setRead] = useState(() => Number(readUpTo.load() ?? 0));
  const newest = notices[0];
  if (newest === undefined || newest.at <= read || serverNow - newest.at > noticeShownFor) return null;
  const close = () => {
    readUpTo.save(String(newest.at));
    setRead(newest.at);
  };
  return (
    <NoticeText key={newest.seq} notice={newest}>
      <button type="button" onClick={close} className="mt-2 min-h-9 border-2 border-current px-3 text-base">
        {m.student_now_noticeRead()}
      </button>
    </NoticeText>
  );
}

/** The teacher is told that it stood on a screen long enough to be read, and not in a pocket. */
function NoticeText({ notice, children }: { notice: Schema['NoticeView']; children: ReactNode }) {
  const [place, shown] = useShown();
  const { seq, text } = notice;
  useEffect(() => {
    if (!shown || seq <= Number(seenUpTo.load() ?? 0)) return;
    take(api.POST('/api/student/notices/{seq}/seen', { params: { path: { seq: `${seq}` } } })).then(
      () => seenUpTo.save(String(seq)),
      () => undefined,
    );
  }, [seq, shown]);
  return (
    <div
      ref={place}
      role="status"
      className="sticky top-2 z-20 mb-4 border-2 border-ink bg-accent px-4 py-3 text-lg text-on-accent wrap-anywhere"
    >
      <p className="text-sm">{m.student_now_notice()}</p>
      <p className="font-semibold">{text}</p>
      {children}
    </div>
  );
}

function ComingBack({ seconds }: { seconds: number }) {
  return (
    <div role="alert" className="sticky top-0 z-10 -mx-5 -mt-5 mb-5 bg-ink px-5 py-4 text-ground">
      <p className="text-lg">{m.student_now_comingBack()}</p>
      <p className="text-5xl font-bold tabular-nums" aria-hidden="true">
        <Duration seconds={seconds} />
      </p>
      <p className="mt-1 text-sm">{m.student_now_microphones()}</p>
    </div>
  );
}

function SheetHead({
  young,
  group,
  sheets,
  left,
  open,
  onOpen,
  onBack,
}: {
  young: boolean;
  /** Whose worksheet it is; null for the student's own. */
  group: Schema['MyGroup'] | null;
  sheets: { id: string; title: string; own: boolean }[];
  /** Seconds to the end of the round; null where there is none to count to. */
  left: number | null;
  open: string;
  onOpen: (copy: string) => void;
  onBack: () => void;
}) {
  return (
    <div className="mb-5 flex flex-wrap items-center gap-3 border-b-2 border-ink pb-2">
      {group !== null && <Sign mark={group.mark} size={24} />}
      <span className="min-w-0 flex-1 font-head text-lg font-semibold wrap-anywhere">{group?.name}</span>
      {left !== null && (
        <span role="timer" className="font-semibold whitespace-nowrap tabular-nums">
          <Duration seconds={left} /> <span className="font-normal">{m.student_now_timeLeft()}</span>
        </span>
      )}
      <Button look="quiet" aria-label={m.student_copy_back()} className={young ? 'text-4xl' : ''} onClick={onBack}>
        {young ? '←' : m.student_copy_back()}
      </Button>
      {sheets.length > 1 && (
        <nav aria-label={m.student_now_openSheet()} className="flex w-full flex-wrap gap-2">
          {sheets.map((one) => (
            <Button
              key={one.id}
              aria-current={one.id === open ? 'page' : undefined}
              className={one.id === open ? 'bg-wash font-semibold' : ''}
              onClick={() => onOpen(one.id)}
            >
              {one.own ? m.student_now_openOwn({ title: one.title }) : one.title}
            </Button>
          ))}
        </nav>
      )}
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

/**
 * @param outside it is known already that this device has no name
 * @param typed   what was typed at the door before our scripts were here
 */
export function StudentApp({ outside: isOutside = false, typed = '' }: { outside?: boolean; typed?: string }) {
  const { now, copies, outside, look } = useNow(isOutside);
  // Whoever is inside is not shown the door while the page comes up the next time (student.html).
  useEffect(() => {
    const inside = drawer('inside');
    if (outside) inside.clear();
    else if (now !== null) inside.save('yes');
  }, [outside, now]);
  const serverNow = useServerNow();
  const phase = phaseOf(now?.moments ?? null, serverNow);
  const [sheet, setSheet] = useSheetOpen(phase);
  const { moved, read } = useMoved(now?.group ?? null, copies, now?.id ?? '', sheet !== null);
  const seconds = secondsUntil(now?.moments == null ? null : comingBackUntil(now.moments), serverNow);

  // When a phase begins by the clock, there may be more to know: the group's name, the room.
  useEffect(() => {
    if (phase !== 'planned') look();
  }, [phase, look]);
  useEffect(() => {
    if (phase === 'comingBack' && 'vibrate' in navigator) navigator.vibrate([200, 100, 200]);
  }, [phase]);

  // The sheet's script is here before it is pressed for.
  const hasSheet = copies.length > 0;
  useEffect(() => {
    if (hasSheet) loadSheet().catch(() => undefined);
  }, [hasSheet]);

  if (outside) return <JoinPage onJoined={look} typed={typed} />;
  if (now === null) {
    return (
      <main className="p-5">
        <LineNote slow={m.student_lineSlow()} down={m.student_lineDown()} />
        <Wordmark />
        <p className="mt-6 text-soft">{m.student_loading()}</p>
      </main>
    );
  }
  const { group } = now;
  const isOut = phase === 'out' || phase === 'comingBack';
  const copy = sheet === null ? undefined : (copies.find((one) => one.id === sheet) ?? copies[0]);
  /** What the student works on alone opens by itself, whatever their group does. */
  const isAlone = copy !== undefined && now.alone.some((one) => one.id === copy.id);
  const whose = isAlone ? null : group;
  const page = { now, phase, serverNow, onSheet: setSheet, onLeft: look, onLook: look };
  return (
    <main className="mx-auto min-h-screen w-full max-w-xl p-5">
      <LineNote slow={m.student_lineSlow()} down={m.student_lineDown()} />
      {now.otherDevice !== null && (
        <Suspense>
          <OtherDevice guest={now.otherDevice} onDone={look} />
        </Suspense>
      )}
      {phase === 'comingBack' && <ComingBack seconds={seconds} />}
      {phase === 'out' && now.aside !== null && now.aside.from > serverNow && (
        <AsideSoon aside={now.aside} serverNow={serverNow} />
      )}
      {isOut && sheet !== null && now.aside !== null && now.aside.from <= serverNow && (
        <div role="alert" className="mb-5 border-2 border-ink bg-sheet p-4">
          <Aside now={now} aside={now.aside} />
        </div>
      )}
      {!now.over && now.lesson !== null && (
        <Fetched now={now} place={placeNow(now, isOut, serverNow)} serverNow={serverNow} />
      )}
      {phase !== 'back' && <Notice notices={now.notices} serverNow={serverNow} />}
      {sheet === earlierSheets ? (
        <Suspense>
          <Earlier me={now.id} onBack={() => setSheet(null)} />
        </Suspense>
      ) : moved !== null && group !== null && phase !== 'back' ? (
        <Suspense>
          <MovedNote
            moved={moved}
            group={group}
            onGo={() => {
              read();
              setSheet(null);
            }}
          />
        </Suspense>
      ) : copy !== undefined && (isAlone || (group !== null && phase !== 'planned')) ? (
        <>
          <SheetHead
            young={now.young !== null}
            group={whose}
            sheets={
              whose === null
                ? now.alone.map((one) => ({ ...one, own: true }))
                : whose.copies.map((one) => ({ ...one, own: one.way === 'each' }))
            }
            left={
              phase === 'out' && now.moments?.endsAt != null
                ? secondsUntil(now.moments.endsAt, clockOf(now.moments, serverNow))
                : null
            }
            open={copy.id}
            onOpen={setSheet}
            onBack={() => setSheet(null)}
          />
          <MediaContext value={mediaOf(copy.id)}>
            <Suspense fallback={<p className="mt-6 text-soft">{m.student_loading()}</p>}>
              <CopyPage
                key={copy.id}
                copy={copy}
                me={now.id}
                members={whose?.members ?? []}
                lang={now.young?.language}
              />
            </Suspense>
          </MediaContext>
          {phase === 'back' && !isAlone && (
            <div className="mt-8">
              <GoButton>{m.student_now_goMain()}</GoButton>
            </div>
          )}
        </>
      ) : (
        <>
          {now.young === null ? (
            <NowPage {...page} />
          ) : (
            <Suspense>
              <YoungPage {...page} young={now.young} />
            </Suspense>
          )}
          {!isOut && phase !== 'looking' && now.young === null && (
            <Button look="quiet" className="mt-8 -ms-2" onClick={() => setSheet(earlierSheets)}>
              {m.student_now_earlier()}
            </Button>
          )}
        </>
      )}
    </main>
  );
}
