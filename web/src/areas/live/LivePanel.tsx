import { useState, type ReactNode } from 'react';
import { secondsUntil, useServerNow } from '../../api/clock';
import type { Schema } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { Button } from '../../ui/Button';
import { Duration } from '../../ui/Duration';
import * as m from '#messages';
import { lasting } from '../../words/lasting';
import { placeOf } from '../grouping/NameTag';
import { NextLesson } from '../lesson/NextLesson';
import { timeText } from '../lesson/when';
import { Away } from './Away';
import { NoticeBox } from './NoticeBox';
import { comingBackUntil, type Phase } from './phase';
import { command, useCommand } from './useCommand';
import { expected, missing, noteOf } from './whereabouts';

type Lesson = Schema['LessonView'];
const lengths = [0, 10, 30, 60, 120];

/** Where they are to be: out in their rooms, back with everybody; or, of a lesson that is over, whether they were there. */
type Asked = 'out' | 'back' | 'over';

/** So many who are not there are named at once; the others by a press. */
const shownFirst = 6;

/** How many are where they should be, and who is not. */
export function WhoIsMissing({ lesson, asked }: { lesson: Lesson; asked: Asked }) {
  const give = useCommand(lesson.id);
  const now = useServerNow(1_000);
  const all = expected(lesson, asked === 'out');
  const not = missing(all);
  const [isWhole, setWhole] = useState(false);
  const there = all.length - not.length;
  const belongsIn = (id: string) => lesson.floor.groups.find((group) => group.students.includes(id))?.name;
  const helped = asked === 'over' ? 0 : not.filter((student) => student.help !== null).length;
  return (
    <section aria-label={m.live_notYet()} className="flex flex-col">
      <p className="leading-none">
        <span className="text-5xl font-bold tabular-nums">{there}</span>{' '}
        <span className="text-lg">
          {m.live_of({ n: there, all: all.length }).replace(/^\d+ /, '')} {m.live_there({ key: asked })}
        </span>
      </p>
      {helped > 0 && (
        <Button className="mt-2 self-start" busy={give.isPending} onClick={() => give.mutate(command('fetch'))}>
          {m.round_helpAll({ n: helped })}
        </Button>
      )}
      {not.length === 0 ? (
        <p className="mt-2">{m.live_everyone({ key: asked })}</p>
      ) : (
        <ul className="mt-3 border-y border-ink">
          {(isWhole ? not : not.slice(0, shownFirst)).map((student) => (
            <li key={student.id} className="flex items-baseline gap-2 border-b border-line py-1.5 last:border-0">
              <span className="min-w-0 flex-1">
                <span className={`font-semibold wrap-anywhere ${placeOf(student) === 'lost' ? 'text-lost' : ''}`}>
                  {student.name}
                </span>
                <span className="block text-sm text-soft">
                  {noteOf(lesson, student)}
                  {asked === 'out' &&
                    (student.place === 'elsewhere' || student.place === 'leftBehind') &&
                    belongsIn(student.id) !== undefined &&
                    `; ${m.live_belongs({ name: belongsIn(student.id) ?? '' })}`}
                  {student.fetchedAt !== null &&
                    asked !== 'over' &&
                    `; ${m.round_helped({ time: lasting((now - student.fetchedAt) / 1_000) })}`}
                </span>
              </span>
              {student.help !== null && asked !== 'over' && (
                <Button
                  look="quiet"
                  className="shrink-0 text-sm"
                  aria-label={`${m.round_help({ key: student.help })}: ${student.name}`}
                  busy={give.isPending}
                  onClick={() => give.mutate(command('fetch', { students: [student.id] }))}
                >
                  {m.round_help({ key: student.help })}
                </Button>
              )}
            </li>
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

/** The teacher's side of a round that is on. */
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
  /** Whom to visit. */
  visits: ReactNode;
}) {
  const give = useCommand(lesson.id);
  const now = useServerNow();
  const [seconds, setSeconds] = useState(lesson.round.callBackSeconds);
  const { moments } = lesson.round;
  const groups = lesson.signals;
  const done = groups.filter((one) => one.done).length;
  const coming = lesson.round.notices.filter((one) => one.dueAt !== null && one.dueAt > now);
  const choices = [...new Set([...lengths, lesson.round.callBackSeconds])].sort((a, b) => a - b);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-5">
      {phase === 'looking' && (
        <>
          <p className="text-lg">
            {m.live_outIn()}{' '}
            <span className="text-3xl font-bold">
              <Duration seconds={secondsUntil(moments.outAt, now)} />
            </span>
          </p>
          <Button onClick={() => give.mutate(command('takeBack'))} busy={give.isPending}>
            {m.live_takeBack()}
          </Button>
        </>
      )}
      {phase === 'out' && (
        <div className="flex shrink-0 flex-col gap-2">
          <Button
            look="main"
            className="w-full text-lg"
            onClick={() => give.mutate(command('callBack', { seconds }))}
            busy={give.isPending}
          >
            {m.live_callBack({ seconds })}
            {groups.length > 0 && done > 0 && (
              <span className="block text-sm font-normal">{m.round_doneOf({ done, all: groups.length })}</span>
            )}
          </Button>
          <Choice
            label={m.live_callBackLength()}
            className="w-44 text-sm"
            value={seconds}
            options={choices.map((choice) => ({ value: choice, label: m.common_seconds({ n: choice }) }))}
            onChange={setSeconds}
          />
          {moments.endsAt !== null && moments.pausedAt === null && (
            <p className="text-sm">
              {moments.autoSeconds === null
                ? m.live_endsByHand({ time: timeText(moments.endsAt) })
                : m.live_endsByItself({ time: timeText(moments.endsAt), seconds: moments.autoSeconds })}
            </p>
          )}
          {coming.map((one) => (
            <p key={one.id} className="text-sm wrap-anywhere">
              <span className="text-soft">{m.round_prepared_at({ time: timeText(one.dueAt ?? now) })}:</span> {one.text}
            </p>
          ))}
        </div>
      )}
      {phase === 'comingBack' && (
        <>
          <p className="text-lg">
            {m.live_comingBackIn()}{' '}
            <span className="bg-accent px-2 text-4xl font-bold text-on-accent">
              <Duration seconds={secondsUntil(comingBackUntil(moments), now)} />
            </span>
          </p>
          <Button onClick={() => give.mutate(command('keepWorking'))} busy={give.isPending}>
            {m.live_keepWorking()}
          </Button>
        </>
      )}
      {phase === 'out' && visits}
      <WhoIsMissing lesson={lesson} asked={phase === 'back' ? 'back' : 'out'} />
      <Away lesson={lesson} />
      <NoticeBox lesson={lesson} />
      {log}
    </div>
  );
}
