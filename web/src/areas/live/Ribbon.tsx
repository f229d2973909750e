import clsx from 'clsx';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { secondsUntil, useServerNow } from '../../api/clock';
import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { Duration } from '../../ui/Duration';
import { part } from '../../ui/lazily';
import * as m from '#messages';
import { AddSegment } from '../lesson/AddSegment';
import { timeText } from '../../words/when';
import { asOrdered, fitted } from '../lesson/orderMoves';
import { nameOf, OrderStrip } from '../lesson/OrderStrip';
import { useOrder } from '../lesson/useOrder';
import { clockOf, comingBackFrom, comingBackUntil, phaseOf } from './phase';
import { backKey, forwardKey, isRightToLeft } from '../../ui/direction';

const AloneWork = part(
  () => import('../materials/AloneWork'),
  (file) => file.AloneWork,
);

const minute = 60_000;

/** While groups are out: the round from its start to its end, now marked, the end to be dragged. */
function Running({
  from,
  endsAt,
  now,
  onEnd,
}: {
  from: number;
  endsAt: number;
  now: number;
  onEnd: ((endsAt: number) => void) | null;
}) {
  const bar = useRef<HTMLDivElement>(null);
  const [dragged, setDragged] = useState<number | null>(null);
  const end = dragged ?? endsAt;
  const span = Math.max(endsAt, now, end) + 5 * minute - from;
  const share = (moment: number) => `${Math.min(100, Math.max(0, (100 * (moment - from)) / span))}%`;
  const momentAt = (event: PointerEvent) => {
    const box = bar.current?.getBoundingClientRect();
    if (box === undefined) return endsAt;
    const along = isRightToLeft() ? box.right - event.clientX : event.clientX - box.left;
    const exact = from + (along / box.width) * span;
    return Math.max(now, from + Math.round((exact - from) / minute) * minute);
  };
  const key = (event: KeyboardEvent) => {
    const step = {
      [forwardKey()]: minute,
      ArrowUp: minute,
      [backKey()]: -minute,
      ArrowDown: -minute,
      PageUp: 5 * minute,
      PageDown: -5 * minute,
    }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      onEnd?.(endsAt + step);
    }
  };
  const ticks = Array.from({ length: Math.floor(span / (5 * minute)) + 1 }, (_, i) => from + i * 5 * minute);
  return (
    <div ref={bar} className="relative h-8 border border-ink bg-sheet">
      <div className="absolute inset-y-0 inset-s-0 bg-wash" style={{ width: share(end) }} />
      <div className="absolute inset-y-0 inset-s-0 bg-ink/25" style={{ width: share(Math.min(now, end)) }} />
      {ticks.map((tick) => (
        <span
          key={tick}
          className="absolute bottom-0 h-2 border-s border-ink/50"
          style={{ insetInlineStart: share(tick) }}
          aria-hidden="true"
        />
      ))}
      <span className="absolute -inset-y-1 w-0.5 bg-ink" style={{ insetInlineStart: share(now) }} aria-hidden="true" />
      {onEnd !== null && (
        <div
          role="slider"
          tabIndex={0}
          aria-label={m.ribbon_end()}
          aria-valuemin={0}
          aria-valuemax={600}
          aria-valuenow={Math.round((end - from) / minute)}
          aria-valuetext={m.ribbon_until({ time: timeText(end) })}
          className="absolute -inset-y-1.5 -ms-2 w-4 cursor-ew-resize touch-none border-2 border-ink bg-sheet hover:bg-wash"
          style={{ insetInlineStart: share(end) }}
          onKeyDown={key}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            setDragged(endsAt);
          }}
          onPointerMove={(event) => dragged !== null && setDragged(momentAt(event))}
          onPointerUp={(event) => {
            const to = momentAt(event);
            setDragged(null);
            if (Math.abs(to - endsAt) > minute / 2) onEnd(to);
          }}
        />
      )}
      <span
        className="absolute inset-y-0 flex items-center ps-4 text-sm max-sm:ltr:-translate-x-full max-sm:rtl:translate-x-full max-sm:pe-4 max-sm:ps-0 whitespace-nowrap text-ink"
        style={{ insetInlineStart: share(end) }}
      >
        {m.ribbon_until({ time: timeText(end) })}
      </span>
    </div>
  );
}

/** The ribbon of time: everything about time is here. */
export function Ribbon({
  lesson,
  onEnd,
  onPause,
  onShow,
  onGo,
  onFill,
  onOriginal,
}: {
  lesson: Schema['LessonView'];
  onEnd: (endsAt: number) => void;
  onPause: (paused: boolean) => void;
  onShow: (segment: string) => void;
  onGo: (segment: string) => void;
  onFill: () => void;
  /** Shows a worksheet, in the plan of a round. */
  onOriginal: (original: string, roundSegment: string) => void;
}) {
  const now = useServerNow(500);
  const { moments } = lesson.roundNow;
  const { order } = lesson;
  const control = useOrder(lesson.id, order);
  const segment = order.segments.find((one) => one.id === order.now);
  const inRound = segment?.round != null;
  const phase = inRound || order.now === null ? phaseOf(moments, now) : 'planned';
  const underWay = phase === 'looking' || phase === 'out' || phase === 'comingBack';
  const endsAt = moments.endsAt ?? now;
  const clock = clockOf(moments, now);
  const over = clock > endsAt;
  const segmentEnds = (order.nowSince ?? now) + (segment?.minutes ?? 0) * minute;
  const status = {
    planned:
      segment === undefined || inRound
        ? null
        : {
            text: nameOf(segment),
            seconds: now > segmentEnds ? Math.floor((now - segmentEnds) / 1000) : secondsUntil(segmentEnds, now),
            left: now <= segmentEnds,
            over: now > segmentEnds,
          },
    looking: { text: m.ribbon_looking(), seconds: secondsUntil(moments.outAt, now), left: false, over: false },
    out: {
      text: moments.pausedAt === null ? m.ribbon_out() : m.ribbon_paused(),
      seconds: over ? Math.floor((clock - endsAt) / 1000) : secondsUntil(endsAt, clock),
      left: !over,
      over,
    },
    comingBack: {
      text: m.ribbon_comingBack(),
      seconds: secondsUntil(comingBackUntil(moments), now),
      left: false,
      over: false,
    },
    back: { text: m.ribbon_back(), seconds: null, left: false, over: false },
  }[phase];
  const shown = lesson.endedAt === null ? status : null;
  const planned = lesson.minutes - order.spare;
  return (
    <section aria-label={m.ribbon_label()} className="border-b border-ink bg-sheet px-5 py-2.5">
      <div className="flex flex-col gap-3 lg:flex-row lg:items-center lg:gap-4">
        {lesson.endedAt !== null && (
          <p className="shrink-0 text-lg font-semibold lg:w-44">{m.ribbon_ended({ time: timeText(lesson.endedAt) })}</p>
        )}
        {shown !== null && (
          <div
            className={clsx(
              'shrink-0 leading-tight lg:w-44',
              shown.over &&
                '-mx-5 -mt-2.5 bg-lost px-5 py-2.5 text-sheet lg:-my-2.5 lg:me-0 lg:flex lg:w-49 lg:flex-col lg:justify-center lg:self-stretch lg:pe-0',
            )}
          >
            <p className={shown.over ? 'font-bold' : 'text-sm'}>{shown.over ? m.ribbon_over() : shown.text}</p>
            {shown.seconds !== null && (
              <p
                className={clsx(
                  'text-2xl font-bold',
                  phase === 'comingBack' && 'inline-block bg-attention px-1 text-on-accent',
                )}
                role="timer"
              >
                {shown.over ? '+ ' : ''}
                <Duration seconds={shown.seconds} />
                {shown.left && <span className="text-sm font-normal"> {m.ribbon_left()}</span>}
              </p>
            )}
          </div>
        )}
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
          {underWay && (
            <Running
              from={moments.lookFrom ?? moments.outAt ?? now}
              endsAt={phase === 'comingBack' ? (comingBackFrom(moments) ?? endsAt) : endsAt}
              now={clock}
              onEnd={phase === 'comingBack' ? null : onEnd}
            />
          )}
        </div>
        {(phase === 'looking' || phase === 'out') && (
          <div className="flex gap-1 lg:self-end">
            <Button aria-label={m.ribbon_less()} onClick={() => onEnd(endsAt - minute)}>
              − 1
            </Button>
            <Button aria-label={m.ribbon_more()} onClick={() => onEnd(Math.max(endsAt, clock) + minute)}>
              + 1
            </Button>
            {phase === 'out' && (
              <Button onClick={() => onPause(moments.pausedAt === null)}>
                {moments.pausedAt === null ? m.ribbon_pause() : m.ribbon_goOn()}
              </Button>
            )}
          </div>
        )}
        {!underWay && lesson.endedAt === null && (
          <>
            <AddSegment order={order} control={control} onFill={onFill} />
            <p className="shrink-0 text-sm leading-tight text-soft lg:w-48">
              {m.order_total({ planned, all: lesson.minutes })}
              {order.spare !== 0 && (
                <span className="block">
                  <span className={clsx('font-semibold', order.spare < 0 && 'text-ink')}>
                    {order.spare > 0 ? m.order_spare({ n: order.spare }) : m.order_over({ n: -order.spare })}
                  </span>
                  {lesson.minutes >= order.segments.length && (
                    <>
                      {' · '}
                      <button
                        type="button"
                        className="text-ink underline underline-offset-4"
                        onClick={() => control.put(fitted(asOrdered(order.segments), lesson.minutes))}
                      >
                        {m.order_fit()}
                      </button>
                    </>
                  )}
                </span>
              )}
            </p>
          </>
        )}
      </div>
    </section>
  );
}
