// While groups are out: the round from its start to its end, now marked, the end to be dragged.
import { useRef, useState, type KeyboardEvent, type PointerEvent, type RefObject } from 'react';
import * as m from '#messages';
import { backKey, forwardKey, isRightToLeft } from '../../../ui/direction';
import { timeText } from '../../../words/when';

const minute = 60_000;

/** Where moments lie on the bar: from the round's start to some minutes after its end. */
interface Scale {
  from: number;
  /** Milliseconds from end to end. */
  span: number;
}

const shareOf = ({ from, span }: Scale, moment: number) =>
  `${Math.min(100, Math.max(0, (100 * (moment - from)) / span))}%`;

/** The full minute of the round under the pointer, not before now. */
function momentUnder(event: PointerEvent, bar: HTMLElement, { from, span }: Scale, now: number): number {
  const box = bar.getBoundingClientRect();
  const along = isRightToLeft() ? box.right - event.clientX : event.clientX - box.left;
  const exact = (along / box.width) * span;
  return Math.max(now, from + Math.round(exact / minute) * minute);
}

/** Milliseconds a key moves the end by; undefined for other keys. */
const stepOf = (key: string): number | undefined =>
  ({
    [forwardKey()]: minute,
    ArrowUp: minute,
    [backKey()]: -minute,
    ArrowDown: -minute,
    PageUp: 5 * minute,
    PageDown: -5 * minute,
  })[key];

/** The handle by which the end is moved. */
function EndHandle({
  bar,
  scale,
  endsAt,
  dragged,
  now,
  onDrag,
  onEnd,
}: {
  bar: RefObject<HTMLDivElement | null>;
  scale: Scale;
  endsAt: number;
  /** Where it is held; null: it is not. */
  dragged: number | null;
  now: number;
  onDrag: (to: number | null) => void;
  onEnd: (endsAt: number) => void;
}) {
  const end = dragged ?? endsAt;
  const momentAt = (event: PointerEvent) =>
    bar.current === null ? endsAt : momentUnder(event, bar.current, scale, now);
  const press = (event: KeyboardEvent) => {
    const step = stepOf(event.key);
    if (step === undefined) return;
    event.preventDefault();
    onEnd(endsAt + step);
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={m.ribbon_end()}
      aria-valuemin={0}
      aria-valuemax={600}
      aria-valuenow={Math.round((end - scale.from) / minute)}
      aria-valuetext={m.ribbon_until({ time: timeText(end) })}
      className="absolute -inset-y-1.5 -ms-2 w-4 cursor-ew-resize touch-none border-2 border-ink bg-sheet hover:bg-wash"
      style={{ insetInlineStart: shareOf(scale, end) }}
      onKeyDown={press}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        onDrag(endsAt);
      }}
      onPointerMove={(event) => dragged !== null && onDrag(momentAt(event))}
      onPointerUp={(event) => {
        const to = momentAt(event);
        onDrag(null);
        if (Math.abs(to - endsAt) > minute / 2) onEnd(to);
      }}
    />
  );
}

export function RunningRound({
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
  const scale = { from, span: Math.max(endsAt, now, end) + 5 * minute - from };
  const share = (moment: number) => shareOf(scale, moment);
  const ticks = Array.from({ length: Math.floor(scale.span / (5 * minute)) + 1 }, (_, i) => from + i * 5 * minute);
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
        <EndHandle
          bar={bar}
          scale={scale}
          endsAt={endsAt}
          dragged={dragged}
          now={now}
          onDrag={setDragged}
          onEnd={onEnd}
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
