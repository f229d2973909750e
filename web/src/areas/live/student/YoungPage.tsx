// The page of a student who cannot read yet.
import { useEffect, useState, type ReactNode } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { BigSign } from '../../../ui/signs/BigSign';
import { markOf } from '../../../ui/signs/marks';
import { Picture } from '../../../ui/signs/Picture';
import { Sign } from '../../../ui/signs/Sign';
import { canSpeak, hush, say } from '../../../ui/speech';
import * as m from '#messages';
import { clockOf, type Phase } from '../phase';
import { GoButton } from './GoButton';
import { Me } from './Me';
import { stepOf, toldOf, type Step } from './youngSteps';

type Now = Schema['StudentNow'];

/** So long a message of the teacher's is said again, too. Milliseconds. */
const noticeFor = 180_000;
/** What is to be said has stood for so long. Milliseconds. */
const settled = 1_200;
const big = 'flex w-full items-center justify-center gap-4 border-2 border-ink py-6';

/** The one thing to do, as a sign as large as the page. */
function Press({ step, onSheet }: { step: Step; onSheet: (copy: string) => void }) {
  if (step.kind === 'sheet')
    return (
      <button
        type="button"
        data-sheet
        aria-label={m.young_write({ title: step.title })}
        onClick={() => onSheet(step.id)}
        className={`${big} bg-accent text-on-accent shadow-[4px_4px_0_var(--ink)]`}
      >
        <BigSign name="write" size={112} />
      </button>
    );
  if (step.kind === 'room' || step.kind === 'main')
    return (
      <GoButton>
        <span className="flex justify-center">
          <BigSign name={step.kind} size={112} />
          <span className="sr-only">{step.kind === 'room' ? m.young_room() : m.young_main()}</span>
        </span>
      </GoButton>
    );
  return null;
}

/** A hand that goes up, and down again. */
function Hand({ signal, onLook }: { signal: Schema['MySignal']; onLook: () => void }) {
  const [busy, setBusy] = useState(false);
  const up = signal.about != null;
  return (
    <button
      type="button"
      aria-pressed={up}
      aria-label={up ? m.young_handDown() : m.young_hand()}
      disabled={busy}
      onClick={() => {
        setBusy(true);
        void take(api.PUT('/api/student/call', { body: { about: up ? null : 'question' } }))
          .then(onLook, () => undefined)
          .finally(() => setBusy(false));
      }}
      className={`${big} ${up ? 'bg-ink text-ground' : 'bg-sheet'}`}
    >
      <BigSign name="help" size={64} />
    </button>
  );
}

/** How much of the time is left: a bar that gets shorter. */
function TimeLeft({ now, serverNow }: { now: Now; serverNow: number }) {
  const { moments } = now;
  if (moments?.outAt == null || moments.endsAt === null) return null;
  const clock = clockOf(moments, serverNow);
  const left = Math.max(0, Math.min(1, (moments.endsAt - clock) / Math.max(1, moments.endsAt - moments.outAt)));
  return (
    <div aria-hidden="true" className="h-6 border-2 border-ink bg-sheet">
      <div className="h-full bg-ink" style={{ width: `${100 * left}%` }} />
    </div>
  );
}

function GroupSign({ group, children }: { group: Schema['MyGroup']; children: ReactNode }) {
  const { colour } = markOf(group.mark);
  return (
    <section
      className="flex flex-col items-center gap-3 border-[10px] px-3 py-5"
      style={{ borderColor: colour, backgroundColor: `color-mix(in oklab, ${colour} 18%, var(--sheet))` }}
    >
      <span style={{ color: `color-mix(in oklab, ${colour} 70%, var(--ink))` }}>
        <Sign mark={group.mark} size={136} plain />
      </span>
      <h1 className="text-3xl font-bold wrap-anywhere">{group.name}</h1>
      {children}
    </section>
  );
}

type Said = ReturnType<typeof toldOf>;

/** What is new is said by itself, once it stays: when the class moves on, several answers come one after the other. */
function useSaid(text: Said, andHush: boolean) {
  const said = JSON.stringify(text);
  useEffect(() => {
    if (said === '[]') return undefined;
    const soon = setTimeout(() => say(JSON.parse(said) as Said), settled);
    return () => {
      clearTimeout(soon);
      if (andHush) hush();
    };
  }, [said, andHush]);
}

/** Who the page is for, and the sign that says everything again. */
function Hello({ name, young, onAgain }: { name: string; young: Schema['Young']; onAgain: () => void }) {
  return (
    <div className="flex items-center gap-4">
      {young.picture !== null && <Picture number={young.picture} size={84} />}
      <p className="min-w-0 flex-1 font-head text-3xl font-semibold wrap-anywhere">{name}</p>
      {canSpeak() && (
        <button
          type="button"
          aria-label={m.young_again()}
          onClick={onAgain}
          className="flex size-24 shrink-0 items-center justify-center border-2 border-ink bg-sheet active:bg-wash"
        >
          <BigSign name="speak" size={64} />
        </button>
      )}
    </div>
  );
}

/** The group's sign with the pictures of all others in it. */
function OwnGroup({ group, me }: { group: Schema['MyGroup']; me: string }) {
  return (
    <GroupSign group={group}>
      <ul className="flex flex-wrap justify-center gap-3">
        {group.members
          .filter((mate) => mate.id !== me)
          .map((mate) => (
            <li key={mate.id} className="flex w-20 flex-col items-center">
              {mate.picture !== null && mate.picture !== undefined && <Picture number={mate.picture} size={56} />}
              <span className="max-w-full truncate">{mate.name}</span>
            </li>
          ))}
      </ul>
    </GroupSign>
  );
}

/**
 * The page of a student who cannot read yet: it says what to do and says it again at a press; everything on it is a
 * picture, and there is one thing to press.
 */
export default function YoungPage({
  now,
  young,
  phase,
  serverNow,
  room,
  onSheet,
  onLeft,
  onLook,
}: {
  now: Now;
  young: Schema['Young'];
  phase: Phase;
  serverNow: number;
  room: ReactNode;
  onSheet: (copy: string) => void;
  onLeft: () => void;
  onLook: () => void;
}) {
  const step = stepOf(now, phase, serverNow);
  const told = toldOf(now, young, phase, step);
  const [newest] = now.notices;
  const notice: Said =
    newest !== undefined && serverNow - newest.at < noticeFor
      ? [
          { text: m.young_teacher(), lang: m.young_lang() },
          { text: newest.text, lang: young.language },
        ]
      : [];
  useSaid(told, true);
  useSaid(notice, false);
  const { group } = now;
  const atWork = phase === 'looking' || phase === 'out' || phase === 'comingBack';
  return (
    <div className="flex flex-col gap-5">
      <Me now={now} onLeft={onLeft} />
      <Hello name={now.name} young={young} onAgain={() => say([...notice, ...told])} />
      {/* For whoever helps, and where the device has no voice. */}
      <p className="text-lg wrap-anywhere">{told.map((one) => one.text).join(' ')}</p>
      {atWork && group !== null && <OwnGroup group={group} me={now.id} />}
      {room}
      <Press step={step} onSheet={onSheet} />
      {phase === 'out' && <TimeLeft now={now} serverNow={serverNow} />}
      {atWork && phase !== 'looking' && group !== null && <Hand signal={group.signal} onLook={onLook} />}
    </div>
  );
}
