import clsx from 'clsx';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { useServerNow } from '../../api/clock';
import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { words } from '../../words';
import { AddSegment } from '../lesson/AddSegment';
import { asOrdered, fitted } from '../lesson/orderMoves';
import { nameOf, OrderStrip } from '../lesson/OrderStrip';
import { useOrder } from '../lesson/useOrder';
import { comingBackFrom, comingBackUntil, phaseOf } from './phase';
import { clockText, secondsUntil } from '../../api/clock';

const minute = 60_000;
const clockTime = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' });

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
    const exact = from + ((event.clientX - box.left) / box.width) * span;
    return Math.max(now, from + Math.round((exact - from) / minute) * minute);
  };
  const key = (event: KeyboardEvent) => {
    const step = {
      ArrowRight: minute,
      ArrowUp: minute,
      ArrowLeft: -minute,
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
      <div className="absolute inset-y-0 left-0 bg-wash" style={{ width: share(end) }} />
      <div className="absolute inset-y-0 left-0 bg-ink/25" style={{ width: share(Math.min(now, end)) }} />
      {ticks.map((tick) => (
        <span
          key={tick}
          className="absolute bottom-0 h-2 border-l border-ink/50"
          style={{ left: share(tick) }}
          aria-hidden="true"
        />
      ))}
      <span className="absolute -inset-y-1 w-0.5 bg-ink" style={{ left: share(now) }} aria-hidden="true" />
      {onEnd !== null && (
        <div
          role="slider"
          tabIndex={0}
          aria-label={words.ribbon.end}
          aria-valuemin={0}
          aria-valuemax={600}
          aria-valuenow={Math.round((end - from) / minute)}
          aria-valuetext={words.ribbon.until(clockTime.format(end))}
          className="absolute -inset-y-1.5 w-4 -translate-x-1/2 cursor-ew-resize touch-none border-2 border-ink bg-accent"
          style={{ left: share(end) }}
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
        className="absolute inset-y-0 flex items-center pl-4 text-sm whitespace-nowrap text-ink"
        style={{ left: share(end) }}
      >
        {clockTime.format(end)}
      </span>
    </div>
  );
}

/** The ribbon of time: everything about time is here. */
export function Ribbon({
  lesson,
  onEnd,
  onShow,
  onGo,
  onFill,
}: {
  lesson: Schema['LessonView'];
  onEnd: (endsAt: number) => void;
  onShow: (segment: string) => void;
  onGo: (segment: string) => void;
  onFill: () => void;
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
  const over = now > endsAt;
  const segmentEnds = (order.nowSince ?? now) + (segment?.minutes ?? 0) * minute;
  const status = {
    planned:
      segment === undefined || inRound
        ? null
        : {
            text: nameOf(segment),
            seconds: now > segmentEnds ? Math.floor((now - segmentEnds) / 1000) : secondsUntil(segmentEnds, now),
            note: now > segmentEnds ? words.ribbon.over : words.ribbon.left,
            plus: now > segmentEnds,
          },
    looking: { text: words.ribbon.looking, seconds: secondsUntil(moments.outAt, now), note: '', plus: false },
    out: {
      text: words.ribbon.out,
      seconds: over ? Math.floor((now - endsAt) / 1000) : secondsUntil(endsAt, now),
      note: over ? words.ribbon.over : words.ribbon.left,
      plus: over,
    },
    comingBack: {
      text: words.ribbon.comingBack,
      seconds: secondsUntil(comingBackUntil(moments), now),
      note: '',
      plus: false,
    },
    back: { text: words.ribbon.back, seconds: null, note: '', plus: false },
  }[phase];
  const planned = lesson.minutes - order.spare;
  return (
    <section aria-label={words.ribbon.label} className="border-b border-ink bg-sheet px-5 py-2.5">
      <div className="flex items-center gap-4">
        {status !== null && (
          <div className="w-44 shrink-0 leading-tight">
            <p className="truncate text-sm">{status.text}</p>
            {status.seconds !== null && (
              <p
                className={clsx(
                  'text-2xl font-bold tabular-nums',
                  phase === 'comingBack' && 'inline-block bg-accent px-1 text-on-accent',
                )}
                role="timer"
              >
                {status.plus ? '+' : ''}
                {clockText(status.seconds)} <span className="font-sans text-sm font-normal">{status.note}</span>
              </p>
            )}
          </div>
        )}
        <div className="min-w-0 flex-1 space-y-2.5">
          <OrderStrip
            order={order}
            classId={lesson.classId}
            control={control}
            shown={lesson.round.segmentId}
            canGo={!underWay}
            onShow={onShow}
            onGo={onGo}
          />
          {underWay && (
            <Running
              from={moments.lookFrom ?? moments.outAt ?? now}
              endsAt={phase === 'comingBack' ? (comingBackFrom(moments) ?? endsAt) : endsAt}
              now={now}
              onEnd={phase === 'comingBack' ? null : onEnd}
            />
          )}
        </div>
        {(phase === 'looking' || phase === 'out') && (
          <div className="flex gap-1 self-end">
            <Button aria-label={words.ribbon.less} onClick={() => onEnd(endsAt - minute)}>
              − 1
            </Button>
            <Button aria-label={words.ribbon.more} onClick={() => onEnd(Math.max(endsAt, now) + minute)}>
              + 1
            </Button>
          </div>
        )}
        {!underWay && (
          <>
            <AddSegment order={order} control={control} onFill={onFill} />
            <p className="w-48 shrink-0 text-sm leading-tight text-soft">
              {words.order.total(planned, lesson.minutes)}
              {order.spare !== 0 && (
                <span className="block">
                  <span className={clsx('font-semibold', order.spare < 0 && 'text-ink')}>
                    {order.spare > 0 ? words.order.spare(order.spare) : words.order.over(-order.spare)}
                  </span>
                  {lesson.minutes >= order.segments.length && (
                    <>
                      {' · '}
                      <button
                        type="button"
                        className="text-ink underline underline-offset-4"
                        onClick={() => control.put(fitted(asOrdered(order.segments), lesson.minutes))}
                      >
                        {words.order.fit}
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
