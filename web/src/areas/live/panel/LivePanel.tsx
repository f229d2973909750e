// The panel beside the floor while groups are at work, and what stands there when they are back.
import clsx from 'clsx';
import { useState, type ReactNode } from 'react';
import { secondsUntil, useServerNow } from '../../../api/clock';
import type { Schema } from '../../../api/client';
import { Choice } from '../../../ui/fields/Choice';
import { Button } from '../../../ui/Button';
import { Duration } from '../../../ui/signs/Duration';
import * as m from '#messages';
import { lasting } from '../../../words/lasting';
import { placeOf } from '../../grouping/floor/NameTag';
import { NextLesson } from '../../lesson/NextLesson';
import { timeText } from '../../../words/when';
import { Away } from './Away';
import { nextInRound } from './nextInRound';
import { NoticeBox, SaidNotices } from './NoticeBox';
import { comingBackUntil, type Phase } from '../phase';
import { command, useCommand } from '../useCommand';
import { expected, missing, noteOf } from '../whereabouts';

type Lesson = Schema['LessonView'];
const lengths = [0, 10, 30, 60, 120];

/**
 * Where they are to be: out in their rooms, back with everybody; or, of a lesson that is over, whether they were there.
 */
type Asked = 'out' | 'back' | 'over';

/** So many who are not there are named at once; the others by a press. */
const shownFirst = 6;

/** One who is not there: where they are instead, and what helps them. */
function MissingStudent({
  lesson,
  asked,
  student,
  busy,
  onFetch,
}: {
  lesson: Lesson;
  asked: Asked;
  student: Schema['SeatedStudent'];
  busy: boolean;
  onFetch: () => void;
}) {
  const now = useServerNow(1_000);
  const own = lesson.floor.groups.find((group) => group.students.includes(student.id))?.name;
  const isElsewhere = student.place === 'elsewhere' || student.place === 'leftBehind';
  return (
    <li className="flex items-baseline gap-2 border-b border-line py-1 last:border-0">
      <span className="min-w-0 flex-1">
        <span className={`font-semibold wrap-anywhere ${placeOf(student) === 'lost' ? 'text-lost' : ''}`}>
          {student.name}
        </span>
        <span className="block text-sm text-soft">
          {noteOf(lesson, student)}
          {asked === 'out' && isElsewhere && own !== undefined && `; ${m.live_belongs({ name: own })}`}
          {student.fetchedAt !== null &&
            asked !== 'over' &&
            `; ${m.round_helped({ time: lasting((now - student.fetchedAt) / 1_000) })}`}
        </span>
      </span>
      {student.help !== null && asked !== 'over' && (
        <Button
          look="quiet"
          className="shrink-0 text-sm"
          aria-label={m.round_helpOf({ key: student.help, name: student.name })}
          busy={busy}
          onClick={onFetch}
        >
          {m.round_help({ key: student.help })}
        </Button>
      )}
    </li>
  );
}

/** How many are where they should be, and who is not. */
export function WhoIsMissing({ lesson, asked }: { lesson: Lesson; asked: Asked }) {
  const give = useCommand(lesson.id);
  const all = expected(lesson, asked === 'out');
  const not = missing(all);
  const [isWhole, setWhole] = useState(false);
  const helped = asked === 'over' ? 0 : not.filter((student) => student.help !== null).length;
  return (
    <section aria-label={m.live_notYet()} className="flex flex-col">
      <div className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
        <p className="leading-none">
          <span className="text-3xl font-bold tabular-nums">{all.length - not.length}</span>{' '}
          <span>{m.live_ofAll({ all: all.length, key: asked })}</span>
        </p>
        {helped > 0 && (
          <Button className="text-sm" busy={give.isPending} onClick={() => give.mutate(command('fetch'))}>
            {m.round_helpAll({ n: helped })}
          </Button>
        )}
      </div>
      {not.length === 0 ? (
        <p className="mt-2">{m.live_everyone({ key: asked })}</p>
      ) : (
        <ul className="mt-2 border-y border-ink">
          {(isWhole ? not : not.slice(0, shownFirst)).map((student) => (
            <MissingStudent
              key={student.id}
              lesson={lesson}
              asked={asked}
              student={student}
              busy={give.isPending}
              onFetch={() => give.mutate(command('fetch', { students: [student.id] }))}
            />
          ))}
          {not.length > shownFirst && (
            <li>
              <Button look="quiet" className="text-sm" onClick={() => setWhole(!isWhole)}>
                {isWhole ? m.live_fewer() : m.live_andMore({ n: not.length - shownFirst })}
              </Button>
            </li>
          )}
        </ul>
      )}
    </section>
  );
}

/** A lesson that is over: who was there, and how it goes on. */
export function OverPanel({ lesson, endedAt }: { lesson: Lesson; endedAt: number }) {
  const give = useCommand(lesson.id);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-5">
      <p className="shrink-0 text-lg font-semibold">{m.live_over({ time: timeText(endedAt) })}</p>
      <WhoIsMissing lesson={lesson} asked="over" />
      <div className="shrink-0">
        <NextLesson lesson={lesson} />
      </div>
      <Button
        look="quiet"
        className="shrink-0 self-start"
        onClick={() => give.mutate(command('reopen'))}
        busy={give.isPending}
      >
        {m.live_notOver()}
      </Button>
    </div>
  );
}

/** A part of the panel that is always there, under its own heading. */
function Place({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="shrink-0 border-t-2 border-ink pt-1.5">
      <h2 className="mb-1 font-sans text-sm font-semibold text-soft">{title}</h2>
      {children}
    </section>
  );
}

/** In place of the button: the countdown while they come back or go out. */
function Countdown({ lesson, isBack }: { lesson: Lesson; isBack: boolean }) {
  const give = useCommand(lesson.id);
  const now = useServerNow();
  const { moments } = lesson.round;
  return (
    <div className="flex min-h-11 flex-wrap items-center justify-between gap-2">
      <p>
        {isBack ? m.live_comingBackIn() : m.live_outIn()}{' '}
        <span className={clsx('px-1.5 text-3xl font-bold', isBack && 'bg-attention text-on-accent')}>
          <Duration seconds={secondsUntil(isBack ? comingBackUntil(moments) : moments.outAt, now)} />
        </span>
      </p>
      <Button onClick={() => give.mutate(command(isBack ? 'keepWorking' : 'takeBack'))} busy={give.isPending}>
        {isBack ? m.live_keepWorking() : m.live_takeBack()}
      </Button>
    </div>
  );
}

/** How many groups are done, and how the round ends otherwise. */
function endText({ signals, round: { moments } }: Lesson): string {
  const done = signals.filter((one) => one.done).length;
  const doneText = done > 0 ? `${m.round_doneOf({ done, all: signals.length })}. ` : '';
  if (moments.endsAt === null || moments.pausedAt !== null) return doneText;
  const time = timeText(moments.endsAt);
  return doneText + (moments.autoSeconds === null ? m.live_endsByHand({ time }) : m.live_endsByItself({ time }));
}

/** The button that calls everyone back, and how long they have. */
function CallBack({ lesson, phase, isNext }: { lesson: Lesson; phase: Phase; isNext: boolean }) {
  const give = useCommand(lesson.id);
  const [seconds, setSeconds] = useState(lesson.round.callBackSeconds);
  const choices = [...new Set([...lengths, lesson.round.callBackSeconds])].sort((a, b) => a - b);
  if (phase !== 'out') return <Countdown lesson={lesson} isBack={phase === 'comingBack'} />;
  return (
    <>
      <Button
        look={isNext ? 'main' : 'plain'}
        className={clsx('w-full font-semibold', !isNext && 'border-2 py-2.5')}
        onClick={() => give.mutate(command('callBack', { seconds }))}
        busy={give.isPending}
      >
        {m.live_callBack({ seconds })}
      </Button>
      <div className="mt-1 flex min-h-8 items-center justify-between gap-2">
        <p className="min-w-0 text-sm leading-tight text-soft">{endText(lesson)}</p>
        <Choice
          label={m.live_callBackLength()}
          hidden
          className="w-30 shrink-0 text-sm"
          value={seconds}
          options={choices.map((choice) => ({ value: choice, label: m.common_seconds({ n: choice }) }))}
          onChange={setSeconds}
        />
      </div>
    </>
  );
}

/**
 * The panel while a round is running. Its four parts never move: whom to visit, a message, calling everyone back, and
 * who is missing. The accent is on whichever is next.
 */
export function LivePanel({
  lesson,
  phase,
  visits,
  log,
}: {
  lesson: Lesson;
  phase: Phase;
  /** The way to the log. */
  log: ReactNode;
  /** Whom to visit, with or without the accent. */
  visits: (isNext: boolean) => ReactNode;
}) {
  const now = useServerNow(1_000);
  const next = nextInRound(lesson, phase, now);
  const coming = lesson.round.notices.filter((one) => one.dueAt !== null && one.dueAt > now);
  return (
    <div className="flex flex-col gap-3">
      <Place title={m.round_next()}>{visits(next === 'visit')}</Place>
      <Place title={m.live_notice()}>
        <NoticeBox lesson={lesson} />
      </Place>
      <Place title={m.live_callBackTitle()}>
        <CallBack lesson={lesson} phase={phase} isNext={next === 'callBack'} />
      </Place>
      <Place title={m.live_whoIsWhere()}>
        <WhoIsMissing lesson={lesson} asked={phase === 'back' ? 'back' : 'out'} />
      </Place>
      <Away lesson={lesson} />
      {coming.length > 0 && (
        <ul aria-label={m.round_prepared_title()} className="text-sm">
          {coming.map((one) => (
            <li key={one.id} className="wrap-anywhere">
              <span className="text-soft">{m.round_prepared_at({ time: timeText(one.dueAt ?? now) })}:</span> {one.text}
            </li>
          ))}
        </ul>
      )}
      <SaidNotices lesson={lesson} />
      {log}
    </div>
  );
}
