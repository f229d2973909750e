import { useEffect, useState } from 'react';
import { useServerNow } from '../../../api/clock';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Sign } from '../../../ui/Sign';
import { Wordmark } from '../../../ui/Wordmark';
import { student as words } from '../../../words/student';
import { CopyPage } from '../../materials/student/CopyPage';
import { JoinPage } from '../../roster/student/JoinPage';
import { comingBackUntil, phaseOf, type Phase } from '../phase';
import { clockText, secondsUntil } from '../../../api/clock';
import { GoButton, NowPage } from './NowPage';
import { useNow } from './useNow';

const noticeShownFor = 120_000;

function Notice({ notices, serverNow }: { notices: Schema['NoticeView'][]; serverNow: number }) {
  const newest = notices[0];
  if (newest === undefined || serverNow - newest.at > noticeShownFor) return null;
  return (
    <p role="status" className="mb-4 border-2 border-ink bg-accent px-4 py-3 text-lg text-on-accent wrap-anywhere">
      <span className="block text-sm">{words.now.notice}</span>
      <span className="font-semibold">{newest.text}</span>
    </p>
  );
}

function ComingBack({ seconds }: { seconds: number }) {
  return (
    <div role="alert" className="sticky top-0 z-10 -mx-5 -mt-5 mb-5 bg-ink px-5 py-4 text-ground">
      <p className="text-lg">{words.now.comingBack}</p>
      <p className="text-5xl font-bold tabular-nums" aria-hidden="true">
        {clockText(seconds)}
      </p>
      <p className="mt-1 text-sm">{words.now.microphones}</p>
    </div>
  );
}

function SheetHead({ group, onBack }: { group: Schema['MyGroup']; onBack: () => void }) {
  return (
    <div className="mb-5 flex items-center gap-3 border-b-2 border-ink pb-2">
      <Sign mark={group.mark} size={24} />
      <span className="min-w-0 flex-1 font-head text-lg font-semibold wrap-anywhere">{group.name}</span>
      <Button look="quiet" onClick={onBack}>
        {words.copy.back}
      </Button>
    </div>
  );
}

/** When everybody is called back the sheet makes way for the page that says where to go. */
function useSheetOpen(phase: Phase): [boolean, (open: boolean) => void] {
  const [open, setOpen] = useState(() => window.location.hash === '#sheet');
  useEffect(() => {
    const moved = () => setOpen(window.location.hash === '#sheet');
    window.addEventListener('hashchange', moved);
    return () => window.removeEventListener('hashchange', moved);
  }, []);
  const set = (to: boolean) => {
    window.history.replaceState(null, '', to ? '#sheet' : window.location.pathname);
    setOpen(to);
  };
  const [before, setBefore] = useState(phase);
  if (before !== phase) {
    setBefore(phase);
    if (phase === 'back' && open) set(false);
  }
  return [open, set];
}

export function StudentApp() {
  const { now, copy, outside, look } = useNow();
  const serverNow = useServerNow();
  const phase = phaseOf(now?.moments ?? null, serverNow);
  const [sheet, setSheet] = useSheetOpen(phase);
  const seconds = secondsUntil(now?.moments == null ? null : comingBackUntil(now.moments), serverNow);

  // When a phase begins by the clock, there may be more to know: the group's name, the room.
  useEffect(() => {
    if (phase !== 'planned') look();
  }, [phase, look]);
  useEffect(() => {
    if (phase === 'comingBack' && 'vibrate' in navigator) navigator.vibrate([200, 100, 200]);
  }, [phase]);

  if (outside) return <JoinPage onJoined={look} />;
  if (now === null) {
    return (
      <main className="p-5">
        <Wordmark />
        <p className="mt-6 text-soft">{words.loading}</p>
      </main>
    );
  }
  const { group } = now;
  return (
    <main className="mx-auto min-h-screen w-full max-w-xl p-5">
      {phase === 'comingBack' && <ComingBack seconds={seconds} />}
      {phase !== 'back' && <Notice notices={now.notices} serverNow={serverNow} />}
      {sheet && copy !== null && group !== null && phase !== 'planned' ? (
        <>
          <SheetHead group={group} onBack={() => setSheet(false)} />
          <CopyPage key={copy.id} copy={copy} me={now.id} members={group.members} />
          {phase === 'back' && (
            <div className="mt-8">
              <GoButton>{words.now.goMain}</GoButton>
            </div>
          )}
        </>
      ) : (
        <NowPage
          now={now}
          phase={phase}
          serverNow={serverNow}
          onSheet={() => setSheet(true)}
          onLeft={look}
          onLook={look}
        />
      )}
    </main>
  );
}
