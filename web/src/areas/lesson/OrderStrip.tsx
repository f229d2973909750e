// The running order drawn to scale.
import clsx from 'clsx';
import { Fragment, useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import * as m from '#messages';
import { segmentName } from './segmentName';
import { DragArea, Sortable, SortableRow, type DragListeners } from '../../ui/drag/Drag';
import { dragWords } from '../../ui/drag/dragWords';
import { part } from '../../ui/later/lazily';
import { Popover } from '../../ui/slips/Popover';
import { asOrdered, withEdge, withPlace, type Order, type Segment } from './orderMoves';
import type { useOrder } from './useOrder';
import { backKey, forwardKey, isRightToLeft } from '../../ui/direction';

const SegmentSlip = part(
  () => import('./SegmentSlip'),
  (file) => file.SegmentSlip,
);

export const nameOf = (segment: Segment) => segmentName(segment.kind, segment.round?.number ?? null);

/** How the seam is called, and where it stands. */
function edgeLabels(before: Segment, after: Segment | undefined) {
  return {
    'aria-label':
      after === undefined
        ? m.order_edgeEnd({ before: nameOf(before) })
        : m.order_edge({ before: nameOf(before), after: nameOf(after) }),
    'aria-valuetext':
      after === undefined
        ? m.order_minutes({ n: before.minutes })
        : m.order_edgeAt({ before: before.minutes, after: after.minutes }),
  };
}

/** Minutes a key moves a seam by; undefined for other keys. */
const edgeStep = (key: string): number | undefined =>
  ({ [forwardKey()]: 1, ArrowUp: 1, [backKey()]: -1, ArrowDown: -1, PageUp: 5, PageDown: -5 })[key];

/** The seam between two segments, to be moved by hand or with the arrow keys. */
function Edge({
  segments,
  at,
  perMinute,
  onMove,
  onDone,
}: {
  segments: Segment[];
  at: number;
  perMinute: () => number;
  onMove: (by: number) => void;
  onDone: (by: number) => void;
}) {
  const from = useRef<number | null>(null);
  const before = segments[at];
  if (before === undefined) return null;
  const by = (event: PointerEvent) => {
    const moved = event.clientX - (from.current ?? event.clientX);
    return Math.round((isRightToLeft() ? -moved : moved) / perMinute());
  };
  const letGo = () => {
    from.current = null;
    onMove(0);
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      {...edgeLabels(before, segments[at + 1])}
      aria-valuemin={1}
      aria-valuemax={600}
      aria-valuenow={before.minutes}
      className="relative z-10 -mx-3 w-6 shrink-0 cursor-ew-resize touch-none before:absolute before:inset-y-1.5 before:left-1/2 before:w-1.5 before:-translate-x-1/2 before:border before:border-ink before:bg-sheet hover:before:bg-ink focus-visible:before:bg-ink"
      onKeyDown={(event: KeyboardEvent) => {
        const step = edgeStep(event.key);
        if (step === undefined) return;
        event.preventDefault();
        onDone(step);
      }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = event.clientX;
      }}
      onPointerMove={(event) => from.current !== null && onMove(by(event))}
      onPointerUp={(event) => {
        const moved = by(event);
        letGo();
        if (moved !== 0) onDone(moved);
      }}
      onPointerCancel={letGo}
    />
  );
}

interface StretchProps {
  segment: Segment;
  past: boolean;
  now: boolean;
  shown: boolean;
  onArrow: (by: number) => void;
  children: (close: () => void) => ReactNode;
}

/** One stretch of the lesson, as long as it lasts. */
function Stretch(props: StretchProps) {
  return (
    <Sortable id={props.segment.id}>
      {({ ref, listeners, dragging, x }) => (
        <div
          ref={ref}
          style={{
            flexGrow: props.segment.minutes,
            transform: x === null ? undefined : `translateX(${x}px)`,
            zIndex: dragging ? 20 : undefined,
          }}
          className="@container min-w-9 basis-0"
        >
          <StretchSlip {...props} listeners={listeners} />
        </div>
      )}
    </Sortable>
  );
}

type Look = Pick<StretchProps, 'segment' | 'past' | 'now' | 'shown'>;

const stretchLook = ({ segment, past, now, shown }: Look) => {
  const round = segment.kind === 'round';
  return clsx(
    'relative flex h-full w-full touch-none items-center justify-center gap-1.5 overflow-hidden px-1.5 text-sm whitespace-nowrap',
    round && 'font-semibold',
    now && 'bg-ink text-ground',
    !now && past && 'bg-[repeating-linear-gradient(135deg,var(--line)_0_2px,var(--sheet)_2px_7px)] text-soft',
    !now && !past && (round ? 'bg-wash' : 'bg-sheet'),
    shown && (now ? 'shadow-[inset_0_-4px_0_var(--line)]' : 'shadow-[inset_0_-4px_0_var(--ink)]'),
  );
};

/** The segment's name, or its number where there is no room, and how long it is. */
function StretchLabel({ segment, past, now }: Omit<Look, 'shown'>) {
  const round = segment.kind === 'round';
  return (
    <>
      <span className={clsx('truncate', round && '@max-[6.5rem]:hidden', past && 'bg-sheet px-0.5')}>
        {nameOf(segment)}
      </span>
      {segment.round != null && (
        <span aria-hidden="true" className={clsx('@min-[6.5rem]:hidden', past && 'bg-sheet px-0.5')}>
          {m.order_short({ n: segment.round.number })}
        </span>
      )}
      <span className={clsx('whitespace-nowrap tabular-nums @max-[4.5rem]:hidden', !now && 'text-soft')}>
        {m.order_minutes({ n: segment.minutes })}
      </span>
    </>
  );
}

function StretchSlip(props: StretchProps & { listeners: DragListeners }) {
  const { segment, past, now, onArrow, children, listeners } = props;
  const title = m.order_of({ name: nameOf(segment), n: segment.minutes });
  const arrow = (event: KeyboardEvent) => {
    const by = { [backKey()]: -1, [forwardKey()]: 1 }[event.key];
    if (!event.altKey || by === undefined) return;
    event.preventDefault();
    onArrow(by);
  };
  return (
    <Popover
      className="h-full"
      button={{
        ...listeners,
        'data-to-scale': true,
        title,
        'aria-label': `${title}${now ? `, ${m.order_now()}` : past ? `, ${m.order_past()}` : ''}`,
        'aria-current': now ? 'step' : undefined,
        onKeyDownCapture: arrow,
        className: stretchLook(props),
      }}
      label={<StretchLabel segment={segment} past={past} now={now} />}
    >
      {(close) => (
        <>
          <p className="mb-2 font-semibold">
            {nameOf(segment)}{' '}
            <span className="text-sm font-normal text-soft">{m.order_kindNote({ key: segment.kind })}</span>
          </p>
          {children(close)}
        </>
      )}
    </Popover>
  );
}

interface StripProps {
  order: Order;
  /** What students work on in a segment, and how to change that. */
  workOf?: (segment: Segment, close: () => void) => ReactNode;
  classId: string;
  control: ReturnType<typeof useOrder>;
  /** The segment whose round is on the floor. */
  shown: string;
  /** Groups are not at work: the lesson can go to another segment. */
  canGo: boolean;
  onShow: (segment: string) => void;
  onGo: (segment: string) => void;
}

/** What can be done with a segment, as it stands in the order. */
function Slip({
  strip,
  segment,
  at,
  nowAt,
  onPlace,
  close,
}: {
  strip: StripProps;
  segment: Segment;
  at: number;
  nowAt: number;
  onPlace: (from: number, to: number) => void;
  close: () => void;
}) {
  const { order, control, classId, canGo, shown } = strip;
  const last = order.segments.length - 1;
  const isNow = at === nowAt;
  /** Closes first; null where it cannot be done. */
  const when = (can: boolean, act: () => void) =>
    can
      ? () => {
          close();
          act();
        }
      : null;
  const takeOut = () =>
    control.put(
      asOrdered(order.segments.filter((one) => one.id !== segment.id)),
      m.order_takenOut({ name: nameOf(segment) }),
    );
  return (
    <SegmentSlip
      segment={segment}
      classId={classId}
      control={control}
      earlier={when(at > 0, () => onPlace(at, at - 1))}
      later={when(at < last, () => onPlace(at, at + 1))}
      takeOut={when(!isNow && last > 0, takeOut)}
      goTo={when(segment.round === null && !isNow && canGo, () => strip.onGo(segment.id))}
      show={when(segment.round !== null && segment.id !== shown, () => strip.onShow(segment.id))}
    >
      {strip.workOf?.(segment, close)}
    </SegmentSlip>
  );
}

/** The running order drawn to scale: what is over, what is now, what comes, and for how long. */
export function OrderStrip(strip: StripProps) {
  const { order, control, shown } = strip;
  const bar = useRef<HTMLDivElement>(null);
  const [held, setHeld] = useState<{ at: number; by: number } | null>(null);
  const segments = held === null ? order.segments : withEdge(order.segments, held.at, held.by);
  const nowAt = order.segments.findIndex((segment) => segment.id === order.now);
  const planned = segments.reduce((sum, segment) => sum + segment.minutes, 0);
  const perMinute = () => (bar.current?.clientWidth ?? 600) / Math.max(1, planned);
  const place = (from: number, to: number) => {
    const placed = withPlace(order.segments, from, to);
    if (placed !== order.segments) control.put(asOrdered(placed));
  };
  const dropped = (id: string, over: string | null) => {
    const from = order.segments.findIndex((segment) => segment.id === id);
    const to = order.segments.findIndex((segment) => segment.id === over);
    if (from >= 0 && to >= 0 && from !== to) place(from, to);
  };
  const words = dragWords((id) => {
    const segment = segments.find((one) => one.id === id);
    return segment === undefined ? '' : nameOf(segment);
  });
  return (
    <DragArea onEnd={dropped} words={words}>
      <SortableRow ids={segments.map((segment) => segment.id)}>
        <div ref={bar} role="group" aria-label={m.order_label()} className="flex h-10 min-w-0 border border-ink">
          {segments.map((segment, at) => (
            <Fragment key={segment.id}>
              <Stretch
                segment={segment}
                past={at < nowAt}
                now={at === nowAt}
                shown={segment.id === shown}
                onArrow={(by) => place(at, at + by)}
              >
                {(close) => (
                  <Slip strip={strip} segment={segment} at={at} nowAt={nowAt} onPlace={place} close={close} />
                )}
              </Stretch>
              <Edge
                segments={segments}
                at={at}
                perMinute={perMinute}
                onMove={(by) => setHeld(by === 0 ? null : { at, by })}
                onDone={(by) => control.put(asOrdered(withEdge(order.segments, at, by)))}
              />
            </Fragment>
          ))}
        </div>
      </SortableRow>
    </DragArea>
  );
}
