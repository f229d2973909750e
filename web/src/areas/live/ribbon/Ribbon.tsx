// The ribbon of time: everything about time is here.
import clsx from 'clsx';
import { use } from 'react';
import { secondsUntil, useServerNow } from '../../../api/clock';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Duration } from '../../../ui/signs/Duration';
import { part } from '../../../ui/later/lazily';
import * as m from '#messages';
import { timeText } from '../../../words/when';
import { AddSegment } from '../../lesson/AddSegment';
import { asOrdered, fitted } from '../../lesson/orderMoves';
import { nameOf, OrderStrip } from '../../lesson/OrderStrip';
import { useOrder } from '../../lesson/useOrder';
import { clockOf, comingBackFrom, comingBackUntil, phaseOf, type Phase } from '../phase';
import { LessonPartsContext } from '../laterParts';
import { RunningRound } from './RunningRound';

const AloneWork = part(
  () => import('../../materials/plan/AloneWork'),
  (file) => file.AloneWork,
);

type Lesson = Schema['LessonView'];
type Segment = Lesson['order']['segments'][number];
const minute = 60_000;

interface Status {
  text: string;
  seconds: number | null;
  /** The seconds are what is left of the time. */
  left: boolean;
  /** The time is over by so much. */
  over: boolean;
}

/** Counted down to a moment, or up from it once it has passed. */
const counted = (text: string, until: number, now: number): Status =>
  now > until
    ? { text, seconds: Math.floor((now - until) / 1000), left: false, over: true }
    : { text, seconds: secondsUntil(until, now), left: true, over: false };

/** What the lesson is in, and how long that lasts. */
function statusOf(lesson: Lesson, segment: Segment | undefined, phase: Phase, now: number): Status | null {
  const { order, roundNow } = lesson;
  const { moments } = roundNow;
  const fixed = { left: false, over: false };
  switch (phase) {
    case 'planned':
      return segment?.round !== null
        ? null
        : counted(nameOf(segment), (order.nowSince ?? now) + segment.minutes * minute, now);
    case 'looking':
      return { text: m.ribbon_looking(), seconds: secondsUntil(moments.outAt, now), ...fixed };
    case 'out': {
      const clock = clockOf(moments, now);
      return counted(moments.pausedAt === null ? m.ribbon_out() : m.ribbon_paused(), moments.endsAt ?? now, clock);
    }
    case 'comingBack':
      return { text: m.ribbon_comingBack(), seconds: secondsUntil(comingBackUntil(moments), now), ...fixed };
    case 'back':
      return { text: m.ribbon_back(), seconds: null, ...fixed };
  }
}

function StatusSign({ status, isCall }: { status: Status; isCall: boolean }) {
  const { text, seconds, left, over } = status;
  return (
    <div
      className={clsx(
        'shrink-0 leading-tight lg:w-44',
        over &&
          '-mx-5 -mt-2.5 bg-lost px-5 py-2.5 text-sheet lg:-my-2.5 lg:me-0 lg:flex lg:w-49 lg:flex-col lg:justify-center lg:self-stretch lg:pe-0',
      )}
    >
      <p className={over ? 'font-bold' : 'text-sm'}>{over ? m.ribbon_over() : text}</p>
      {seconds !== null && (
        <p
          className={clsx('text-2xl font-bold', isCall && 'inline-block bg-attention px-1 text-on-accent')}
          role="timer"
        >
          {over ? '+ ' : ''}
          <Duration seconds={seconds} />
          {left && <span className="text-sm font-normal"> {m.ribbon_left()}</span>}
        </p>
      )}
    </div>
  );
}

/** Less or more time for the round that runs, and its clock stopped. */
function TimePresses({
  moments,
  now,
  isOut,
  onEnd,
  onPause,
}: {
  moments: Lesson['roundNow']['moments'];
  now: number;
  isOut: boolean;
  onEnd: (endsAt: number) => void;
  onPause: (paused: boolean) => void;
}) {
  const endsAt = moments.endsAt ?? now;
  return (
    <div className="flex gap-1 lg:self-end">
      <Button aria-label={m.ribbon_less()} onClick={() => onEnd(endsAt - minute)}>
        − 1
      </Button>
      <Button aria-label={m.ribbon_more()} onClick={() => onEnd(Math.max(endsAt, clockOf(moments, now)) + minute)}>
        + 1
      </Button>
      {isOut && (
        <Button onClick={() => onPause(moments.pausedAt === null)}>
          {moments.pausedAt === null ? m.ribbon_pause() : m.ribbon_goOn()}
        </Button>
      )}
    </div>
  );
}

/** How the planned minutes and those of the lesson agree. */
function Total({ lesson, onFit }: { lesson: Lesson; onFit: () => void }) {
  const { order, minutes } = lesson;
  return (
    <p className="shrink-0 text-sm leading-tight text-soft lg:w-48">
      {m.order_total({ planned: minutes - order.spare, all: minutes })}
      {order.spare !== 0 && (
        <span className="block">
          <span className={clsx('font-semibold', order.spare < 0 && 'text-ink')}>
            {order.spare > 0 ? m.order_spare({ n: order.spare }) : m.order_over({ n: -order.spare })}
          </span>
          {minutes >= order.segments.length && (
            <>
              {' · '}
              <button type="button" className="text-ink underline underline-offset-4" onClick={onFit}>
                {m.order_fit()}
              </button>
            </>
          )}
        </span>
      )}
    </p>
  );
}

interface RibbonProps {
  lesson: Lesson;
  onEnd: (endsAt: number) => void;
  onPause: (paused: boolean) => void;
  onShow: (segment: string) => void;
  onGo: (segment: string) => void;
  onFill: () => void;
  /** Shows a worksheet, in the plan of a round. */
  onOriginal: (original: string, roundSegment: string) => void;
}

/** The running order, and under it the round that runs. */
function Course({
  lesson,
  control,
  phase,
  now,
  underWay,
  onEnd,
  onShow,
  onGo,
  onOriginal,
}: Omit<RibbonProps, 'onPause' | 'onFill'> & {
  control: ReturnType<typeof useOrder>;
  phase: Phase;
  now: number;
  underWay: boolean;
}) {
  const { order, roundNow } = lesson;
  const { moments } = roundNow;
  const endsAt = moments.endsAt ?? now;
  const isCall = phase === 'comingBack';
  const { RibbonLine } = use(LessonPartsContext);
  return (
    <div className={clsx('min-w-0 space-y-2.5 lg:flex-1', underWay && '[&>*:first-child]:max-lg:hidden')}>
      <OrderStrip
        order={order}
        classId={lesson.classId}
        control={control}
        shown={lesson.round.segmentId}
        canGo={!underWay}
        onShow={onShow}
        onGo={onGo}
        workOf={(segment, close) =>
          segment.kind === 'alone' && lesson.endedAt === null ? (
            <AloneWork
              lesson={lesson}
              segment={segment.id}
              onOpen={(original, round) => {
                close();
                onOriginal(original, round);
              }}
            />
          ) : null
        }
      />
      {!underWay && lesson.endedAt === null && <RibbonLine lesson={lesson} />}
      {underWay && (
        <RunningRound
          from={moments.lookFrom ?? moments.outAt ?? now}
          endsAt={isCall ? (comingBackFrom(moments) ?? endsAt) : endsAt}
          now={clockOf(moments, now)}
          onEnd={isCall ? null : onEnd}
        />
      )}
    </div>
  );
}

export function Ribbon(props: RibbonProps) {
  const { lesson, onEnd, onPause, onFill } = props;
  const now = useServerNow(500);
  const { order, roundNow, endedAt } = lesson;
  const { moments } = roundNow;
  const control = useOrder(lesson.id, order);
  const segment = order.segments.find((one) => one.id === order.now);
  const phase = segment?.round != null || order.now === null ? phaseOf(moments, now) : 'planned';
  const underWay = phase === 'looking' || phase === 'out' || phase === 'comingBack';
  const status = endedAt === null ? statusOf(lesson, segment, phase, now) : null;
  return (
    <section aria-label={m.ribbon_label()} className="border-b border-ink bg-sheet px-5 py-2.5">
      <div className="flex flex-col gap-3 lg:flex-row lg:items-center lg:gap-4">
        {endedAt !== null && (
          <p className="shrink-0 text-lg font-semibold lg:w-44">{m.ribbon_ended({ time: timeText(endedAt) })}</p>
        )}
        {status !== null && <StatusSign status={status} isCall={phase === 'comingBack'} />}
        <Course {...props} control={control} phase={phase} now={now} underWay={underWay} />
        {(phase === 'looking' || phase === 'out') && (
          <TimePresses moments={moments} now={now} isOut={phase === 'out'} onEnd={onEnd} onPause={onPause} />
        )}
        {!underWay && endedAt === null && (
          <>
            <AddSegment order={order} control={control} onFill={onFill} />
            <Total lesson={lesson} onFit={() => control.put(fitted(asOrdered(order.segments), lesson.minutes))} />
          </>
        )}
      </div>
    </section>
  );
}
