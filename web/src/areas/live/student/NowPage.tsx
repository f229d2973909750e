// Where a student is to be now, with whom, and what there is to do.
import clsx from 'clsx';
import { Suspense, useState, type ReactNode } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Duration } from '../../../ui/signs/Duration';
import { markOf } from '../../../ui/signs/marks';
import { Sign } from '../../../ui/signs/Sign';
import * as m from '#messages';
import { list } from '../../../words/list';
import { clockOf, type Phase } from '../phase';
import { Aside } from './Aside';
import { secondsUntil } from '../../../api/clock';
import { timeText } from '../../../words/when';

import { CallTeacher } from './CallTeacher';
import { GoButton } from './GoButton';
import { Me } from './Me';
import { lazily } from '../../../ui/later/lazily';

const SignUp = lazily(() => import('../../grouping/student/SignUp'));

type Now = Schema['StudentNow'];
type Group = Schema['MyGroup'];

/** The group's own block of colour, with its sign and name. */
function GroupBlock({ group, lead }: { group: Group; lead: string }) {
  const { colour } = markOf(group.mark);
  return (
    <div>
      <p className="text-2xl">{lead}</p>
      <h1
        className="mt-1 flex items-center gap-3 border-s-[12px] px-4 py-3 text-4xl font-bold wrap-anywhere"
        style={{ borderColor: colour, backgroundColor: `color-mix(in oklab, ${colour} 18%, var(--sheet))` }}
      >
        <span style={{ color: `color-mix(in oklab, ${colour} 70%, var(--ink))` }}>
          <Sign mark={group.mark} size={40} plain />
        </span>
        <span className="min-w-0">{group.name}</span>
      </h1>
    </div>
  );
}

function Members({ group, me }: { group: Group; me: string }) {
  const own = group.members.find((mate) => mate.id === me);
  const others = group.members.filter((mate) => mate.id !== me);
  return (
    <section>
      <h2 className="font-sans text-sm font-semibold text-soft">
        {m.student_now_with()}
        {own !== undefined && (
          <span className="float-right text-ink">
            {group.role === ''
              ? m.student_now_number({ n: own.seat })
              : m.student_now_numberRole({ n: own.seat, role: group.role })}
          </span>
        )}
      </h2>
      {others.length === 0 && <p>{m.student_now_alone()}</p>}
      <ul className="mt-1 flex flex-wrap gap-1.5">
        {others.map((mate) => (
          <li key={mate.id} className="flex items-baseline gap-1.5 border border-ink bg-sheet px-2 py-1">
            <span className="text-xs text-soft tabular-nums">{mate.seat}</span>
            <span className="wrap-anywhere">{mate.name}</span>
            {mate.role !== '' && <span className="text-xs text-soft">{mate.role}</span>}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Task({ text }: { text: string }) {
  if (text.trim() === '') return null;
  return (
    <details open={text.length < 260} className="border-t border-line pt-2">
      <summary className="text-sm font-semibold text-soft">{m.student_now_task()}</summary>
      <p className="mt-1 whitespace-pre-wrap wrap-anywhere">{text}</p>
    </details>
  );
}

function Sentence({ children }: { children: ReactNode }) {
  return <h1 className="text-4xl leading-tight font-bold text-balance wrap-anywhere">{children}</h1>;
}

/** Where the class is together, or each works alone: what it is at, and the way there. */
function Together({
  now,
  back,
  room,
  onSheet,
}: {
  now: Now;
  back: boolean;
  room: ReactNode;
  onSheet: (copy: string) => void;
}) {
  const there = now.seenIn === 'main';
  const segment =
    now.segment === null || now.segment.kind === 'round' ? null : { ...now.segment, kind: now.segment.kind };
  const { way } = now.mainSession;
  const main = way === 'here' || way === 'press';
  if (now.lessonTitle === null && way === 'none') return <Sentence>{m.student_now_noLesson()}</Sentence>;
  const where = !main
    ? back
      ? m.student_now_back()
      : m.student_now_waitHere()
    : there
      ? back
        ? m.student_now_inMainAgain()
        : m.student_now_inMain()
      : back
        ? m.student_now_back()
        : m.student_now_waitMain();
  return (
    <>
      <Sentence>{segment === null ? where : m.student_now_at({ key: segment.kind })}</Sentence>
      {segment !== null && segment.endsAt !== null && (segment.kind === 'pause' || segment.kind === 'alone') && (
        <p className="text-2xl font-bold">{m.student_now_until({ time: timeText(segment.endsAt) })}</p>
      )}
      <AloneWork now={now} onSheet={onSheet} />
      {back && main && segment === null && now.mainSession.way !== 'here' && (
        <p className="text-lg">{m.student_now_microphones()}</p>
      )}
      {room}
      {way === 'press' && (
        <GoButton plain={there || segment?.kind === 'alone' || segment?.kind === 'pause'}>
          {there ? m.student_now_backInRoom() : m.student_now_goMain()}
        </GoButton>
      )}
      {segment !== null && <Task text={segment.instructions} />}
    </>
  );
}

/** The way to the room of the group; or whom to wait for, or which place it is. */
function ToRoom({ group, there, room, onLook }: { group: Group; there: boolean; room: ReactNode; onLook: () => void }) {
  const [busy, setBusy] = useState(false);
  const { way, name, openers } = group.room;
  if (way === 'here') return room;
  if (way === 'none') return <p className="text-lg">{m.student_now_atTable()}</p>;
  if (way === 'place')
    return <p className="text-2xl font-bold wrap-anywhere">{m.student_now_atPlace({ place: name })}</p>;
  if (way === 'wait')
    return (
      <p className="text-2xl font-bold wrap-anywhere">
        {m.student_now_waitOpen({ n: openers.length, names: list(openers) })}
      </p>
    );
  const opens = way === 'open';
  const isOpen = () => {
    setBusy(true);
    void take(api.POST('/api/student/room/open'))
      .then(onLook, () => undefined)
      .finally(() => setBusy(false));
  };
  return (
    <>
      {opens && <p className="text-lg">{m.student_now_openRoomLead()}</p>}
      <GoButton plain={there}>
        {there
          ? m.student_now_backInRoom()
          : opens
            ? m.student_now_openRoom({ group: group.name })
            : m.student_now_goRoom({ group: group.name })}
      </GoButton>
      {opens && (
        <Button className="w-full py-3 text-lg" busy={busy} onClick={isOpen}>
          {m.student_now_isOpen()}
        </Button>
      )}
    </>
  );
}

/** The group's worksheets; the first is the thing to do where there is no room to go to. */
function Sheets({ group, isNext, onSheet }: { group: Group; isNext: boolean; onSheet: (copy: string) => void }) {
  const nameOf = ({ way, title }: Group['copies'][number]) =>
    way === 'each' ? m.student_now_openOwn({ title }) : group.copies.length === 1 ? m.student_now_openSheet() : title;
  return group.copies.map((copy, i) => (
    <Button
      key={copy.id}
      look={isNext && i === 0 ? 'main' : 'plain'}
      className={clsx('w-full wrap-anywhere', isNext && i === 0 ? 'py-5 text-xl' : 'py-3 text-lg')}
      data-sheet
      onClick={() => onSheet(copy.id)}
    >
      {nameOf(copy)}
    </Button>
  ));
}

function TimeLeft({ moments, serverNow }: { moments: Now['moments']; serverNow: number }) {
  const left = secondsUntil(moments?.endsAt ?? null, moments === null ? serverNow : clockOf(moments, serverNow));
  if (left <= 0) return <p className="text-lg">{m.student_now_timeOver()}</p>;
  return (
    <p className="text-lg">
      <span className="text-3xl font-bold">
        <Duration seconds={left} />
      </span>{' '}
      {m.student_now_timeLeft()}
      {moments?.pausedAt != null && <span className="block text-base">{m.student_now_paused()}</span>}
    </p>
  );
}

interface AtWorkProps {
  now: Now;
  group: Group;
  phase: Phase;
  serverNow: number;
  room: ReactNode;
  onSheet: (copy: string) => void;
  onLook: () => void;
}

/** Students look at their groups before they go. */
function Looking({ now, group, serverNow }: Pick<AtWorkProps, 'now' | 'group' | 'serverNow'>) {
  return (
    <>
      <GroupBlock group={group} lead={m.student_now_looking()} />
      <p className="text-2xl">
        {m.student_now_lookingIn()}{' '}
        <span className="font-bold">
          <Duration seconds={secondsUntil(now.moments?.outAt ?? null, serverNow)} />
        </span>
      </p>
    </>
  );
}

/** What a member of a group at work can do: go to the room, write, call the teacher. */
function Working({ now, group, serverNow, room, onSheet, onLook }: Omit<AtWorkProps, 'phase'>) {
  const there = now.seenIn === group.id;
  // Where there is no room to go to, the sheet is the thing to do.
  const here = there || group.room.way === 'none' || group.room.way === 'place';
  const aside = now.aside !== null && now.aside.from <= serverNow ? now.aside : null;
  const isToGo = !here && aside === null && group.room.way !== 'wait';
  return (
    <>
      {aside !== null && (
        <>
          <Aside now={now} aside={aside} />
          {room}
        </>
      )}
      <GroupBlock group={group} lead={isToGo ? m.student_now_go() : ''} />
      {there && <p className="text-lg">{m.student_now_inRoom()}</p>}
      {aside === null && <ToRoom group={group} there={there} room={room} onLook={onLook} />}
      <Sheets group={group} isNext={here} onSheet={onSheet} />
      <CallTeacher signal={group.signal} onLook={onLook} />
    </>
  );
}

function AtWork(props: AtWorkProps) {
  const { now, group, phase, serverNow } = props;
  return (
    <>
      {phase === 'looking' ? <Looking now={now} group={group} serverNow={serverNow} /> : <Working {...props} />}
      <Members group={group} me={now.id} />
      {phase === 'out' && <TimeLeft moments={now.moments} serverNow={serverNow} />}
      {group.task !== '' && (
        <p className="border-s-4 border-ink ps-3 text-lg font-semibold wrap-anywhere">{group.task}</p>
      )}
      <Task text={now.segment?.instructions ?? ''} />
    </>
  );
}

/** What to work on alone: what the lesson is at is the thing to do. */
function AloneWork({ now, onSheet }: { now: Now; onSheet: (copy: string) => void }) {
  return now.alone.map((one) => (
    <Button
      key={one.id}
      look={one.now ? 'main' : 'quiet'}
      className={one.now ? 'w-full py-5 text-xl wrap-anywhere' : 'self-start'}
      data-sheet
      onClick={() => onSheet(one.id)}
    >
      {one.title}
    </Button>
  ));
}

/** One sentence that says where to be now, one large button, who is with you, the time left. */
export function NowPage({
  now,
  phase,
  serverNow,
  room,
  onSheet,
  onLeft,
  onLook,
}: {
  now: Now;
  phase: Phase;
  serverNow: number;
  room: ReactNode;
  onSheet: (copy: string) => void;
  onLeft: () => void;
  onLook: () => void;
}) {
  const { group } = now;
  // The way to a room leads here where there is none.
  const noRoom = window.location.search === '?room=none';
  const atWork = phase !== 'planned' && phase !== 'back';
  return (
    <div className="flex flex-col gap-5">
      <Me now={now} onLeft={onLeft} />
      {noRoom && <p role="status">{m.student_now_roomNone()}</p>}
      {now.over && <Sentence>{m.student_now_lessonOver()}</Sentence>}
      {atWork && group !== null && <AtWork {...{ now, group, phase, serverNow, room, onSheet, onLook }} />}
      {atWork && group === null && now.aside !== null && now.aside.from <= serverNow && (
        <Aside now={now} aside={now.aside} />
      )}
      {atWork && group === null && now.aside === null && <Sentence>{m.student_now_noSeat()}</Sentence>}
      {!atWork && now.signUp !== null && (
        <Suspense>
          <SignUp signUp={now.signUp} serverNow={serverNow} onLook={onLook} />
        </Suspense>
      )}
      {!now.over && !atWork && now.signUp === null && (
        <Together now={now} back={phase === 'back'} room={room} onSheet={onSheet} />
      )}
      {phase === 'back' &&
        group?.copies.slice(0, 1).map((copy) => (
          <Button key={copy.id} look="quiet" className="self-start" data-sheet onClick={() => onSheet(copy.id)}>
            {m.student_now_seeSheet()}
          </Button>
        ))}
    </div>
  );
}
