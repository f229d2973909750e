import { useState } from 'react';
import { useServerNow } from '../../api/clock';
import type { Schema } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { Button } from '../../ui/Button';
import { words } from '../../words';
import { placeOf } from '../grouping/NameTag';
import { NoticeBox } from './NoticeBox';
import { comingBackUntil, type Phase } from './phase';
import { clockText, secondsUntil } from '../../api/clock';
import { command, useCommand } from './useCommand';
import { expected, missing, noteOf } from './whereabouts';

type Lesson = Schema['LessonView'];
const lengths = [0, 10, 30, 60, 120];

/** How many are where they should be, and who is not. */
export function WhoIsMissing({ lesson, back }: { lesson: Lesson; back: boolean }) {
  const all = expected(lesson, !back);
  const not = missing(all);
  const there = all.length - not.length;
  const belongsIn = (id: string) => lesson.floor.groups.find((group) => group.students.includes(id))?.name;
  return (
    <section aria-label={words.live.notYet}>
      <p className="leading-none">
        <span className="text-5xl font-bold tabular-nums">{there}</span>{' '}
        <span className="text-lg">
          {words.live.of(there, all.length).replace(/^\d+ /, '')} {back ? words.live.expectBack : words.live.inPlace}
        </span>
      </p>
      {not.length === 0 ? (
        <p className="mt-2">{back ? words.live.allBack : words.live.allInPlace}</p>
      ) : (
        <ul className="mt-3 max-h-64 overflow-y-auto border-y border-ink">
          {not.map((student) => (
            <li key={student.id} className="border-b border-line py-1.5 last:border-0">
              <span className={`font-semibold wrap-anywhere ${placeOf(student) === 'lost' ? 'text-lost' : ''}`}>
                {student.name}
              </span>
              <span className="block text-sm text-soft">
                {noteOf(lesson, student)}
                {!back &&
                  (student.place === 'elsewhere' || student.place === 'leftBehind') &&
                  belongsIn(student.id) !== undefined &&
                  `; ${words.live.belongs(belongsIn(student.id) ?? '')}`}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** The teacher's side of a round that is on. */
export function LivePanel({ lesson, phase }: { lesson: Lesson; phase: Phase }) {
  const give = useCommand(lesson.id);
  const now = useServerNow();
  const [seconds, setSeconds] = useState(lesson.round.callBackSeconds);
  const { moments } = lesson.round;
  const choices = [...new Set([...lengths, lesson.round.callBackSeconds])].sort((a, b) => a - b);
  return (
    <div className="flex flex-col gap-5">
      {phase === 'looking' && (
        <>
          <p className="text-lg">
            {words.live.outIn}{' '}
            <span className="text-3xl font-bold tabular-nums">{clockText(secondsUntil(moments.outAt, now))}</span>
          </p>
          <Button onClick={() => give.mutate(command('takeBack'))} busy={give.isPending}>
            {words.live.takeBack}
          </Button>
        </>
      )}
      {phase === 'out' && (
        <div className="flex flex-col gap-2">
          <Button
            look="main"
            className="w-full text-lg"
            onClick={() => give.mutate(command('callBack', { seconds }))}
            busy={give.isPending}
          >
            {words.live.callBack(seconds)}
          </Button>
          <Choice
            label={words.live.callBackLength}
            className="w-44 text-sm"
            value={seconds}
            options={choices.map((choice) => ({ value: choice, label: words.common.seconds(choice) }))}
            onChange={setSeconds}
          />
        </div>
      )}
      {phase === 'comingBack' && (
        <>
          <p className="text-lg">
            {words.live.comingBackIn}{' '}
            <span className="bg-accent px-2 text-4xl font-bold text-on-accent tabular-nums">
              {clockText(secondsUntil(comingBackUntil(moments), now))}
            </span>
          </p>
          <Button onClick={() => give.mutate(command('keepWorking'))} busy={give.isPending}>
            {words.live.keepWorking}
          </Button>
        </>
      )}
      <WhoIsMissing lesson={lesson} back={phase === 'back'} />
      <NoticeBox lesson={lesson} />
    </div>
  );
}
