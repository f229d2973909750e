import clsx from 'clsx';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { useServerNow } from '../../api/clock';
import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { words } from '../../words';
import { comingBackFrom, comingBackUntil, phaseOf } from './phase';
import { clockText, secondsUntil } from '../../api/clock';

const minute = 60_000;
const clockTime = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' });

/** Before anybody is sent out: the lesson to scale, with the round in the middle of what is done all together. */
function Plan({ lesson }: { lesson: Schema['LessonView'] }) {
  const round = Math.min(lesson.round.minutes, lesson.minutes);
  const rest = (lesson.minutes - round) / 2;
  const part = 'flex items-center justify-center overflow-hidden px-2 text-sm whitespace-nowrap';
  return (
    <div
      className="flex h-9 border border-ink"
      role="img"
      aria-label={`${words.ribbon.lesson(lesson.minutes)}: ${words.ribbon.round(round)}`}
    >
      <div className={clsx(part, 'text-soft')} style={{ flexGrow: rest }}>
        {rest > 3 && words.ribbon.together}
      </div>
      <div className={clsx(part, 'border-x border-ink bg-wash font-semibold')} style={{ flexGrow: round }}>
        {words.ribbon.round(round)}
      </div>
      <div className={clsx(part, 'text-soft')} style={{ flexGrow: rest }}>
        {rest > 3 && words.ribbon.together}
      </div>
    </div>
  );
}

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
    <div ref={bar} className="relative h-9 border border-ink bg-sheet">
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
export function Ribbon({ lesson, onEnd }: { lesson: Schema['LessonView']; onEnd: (endsAt: number) => void }) {
  const now = useServerNow(500);
  const { moments } = lesson.round;
  const phase = phaseOf(moments, now);
  const endsAt = moments.endsAt ?? now;
  const over = now > endsAt;
  const status = {
    planned: null,
    looking: { text: words.ribbon.looking, seconds: secondsUntil(moments.outAt, now), note: '' },
    out: {
      text: words.ribbon.out,
      seconds: over ? Math.floor((now - endsAt) / 1000) : secondsUntil(endsAt, now),
      note: over ? words.ribbon.over : words.ribbon.left,
    },
    comingBack: { text: words.ribbon.comingBack, seconds: secondsUntil(comingBackUntil(moments), now), note: '' },
    back: { text: words.ribbon.back, seconds: null, note: '' },
  }[phase];
  return (
    <section
      aria-label={words.ribbon.label}
      className="flex items-center gap-4 border-b border-ink bg-sheet px-5 py-2.5"
    >
      {status !== null && (
        <div className="w-52 shrink-0 leading-tight">
          <p className="text-sm">{status.text}</p>
          {status.seconds !== null && (
            <p
              className={clsx(
                'text-2xl font-bold tabular-nums',
                phase === 'comingBack' && 'inline-block bg-accent px-1 text-on-accent',
              )}
              role="timer"
            >
              {over && phase === 'out' ? '+' : ''}
              {clockText(status.seconds)} <span className="font-sans text-sm font-normal">{status.note}</span>
            </p>
          )}
        </div>
      )}
      <div className="min-w-0 flex-1">
        {phase === 'planned' || phase === 'back' || moments.outAt === null ? (
          <Plan lesson={lesson} />
        ) : (
          <Running
            from={moments.lookFrom ?? moments.outAt}
            endsAt={phase === 'comingBack' ? (comingBackFrom(moments) ?? endsAt) : endsAt}
            now={now}
            onEnd={phase === 'comingBack' ? null : onEnd}
          />
        )}
      </div>
      {(phase === 'looking' || phase === 'out') && (
        <div className="flex gap-1">
          <Button aria-label={words.ribbon.less} onClick={() => onEnd(endsAt - minute)}>
            − 1
          </Button>
          <Button aria-label={words.ribbon.more} onClick={() => onEnd(Math.max(endsAt, now) + minute)}>
            + 1
          </Button>
        </div>
      )}
      {phase === 'planned' && <p className="shrink-0 text-sm text-soft">{words.ribbon.lesson(lesson.minutes)}</p>}
    </section>
  );
}
