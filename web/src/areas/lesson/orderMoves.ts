// What a change makes of a running order, before the server has answered.
import type { Schema } from '../../api/client';

export type Order = Schema['RunningOrderView'];
export type Segment = Schema['SegmentView'];
export type Kind = Segment['kind'];
export type Ordered = Schema['OrderedSegment'];

const longest = 600;

/** As the server wants to hear of it. */
export function asOrdered(segments: Segment[]): Ordered[] {
  return segments.map(({ id, kind, minutes }) => ({ id, kind, minutes }));
}

/**
 * The end of a segment moved, while the hand still moves it: the same rule as core's RunningOrder::withEdge. What one
 * gains its neighbour loses, neither gets shorter than a minute; the last one just ends sooner or later.
 */
export function withEdge<T extends { minutes: number }>(segments: T[], at: number, by: number): T[] {
  const one = segments[at];
  if (one === undefined) return segments;
  const next = segments[at + 1];
  const most = Math.min(longest - one.minutes, next === undefined ? longest : next.minutes - 1);
  const least = Math.max(1 - one.minutes, next === undefined ? -longest : next.minutes - longest);
  const moved = Math.max(least, Math.min(most, by));
  return segments.map((segment, i) => {
    if (i === at) return { ...segment, minutes: segment.minutes + moved };
    return i === at + 1 ? { ...segment, minutes: segment.minutes - moved } : segment;
  });
}

/** One segment in another place. */
export function withPlace<T>(segments: T[], from: number, to: number): T[] {
  const one = segments[from];
  if (one === undefined || to < 0 || to >= segments.length) return segments;
  const others = segments.filter((_, i) => i !== from);
  return [...others.slice(0, to), one, ...others.slice(to)];
}

/**
 * A new segment after all others, but before the share-out that ends the lesson. It takes the time that is free; where
 * none is, five minutes.
 */
export function withNew(segments: Ordered[], kind: Kind, spare: number): Ordered[] {
  const added = { kind, minutes: spare > 0 ? Math.min(spare, kind === 'pause' ? 5 : 15) : 5 };
  const last = segments.at(-1);
  return last?.kind === 'shareOut' && kind !== 'shareOut'
    ? [...segments.slice(0, -1), added, last]
    : [...segments, added];
}

/** As long as the lesson: the same rule as core's RunningOrder::fitted. */
export function fitted<T extends { minutes: number }>(segments: T[], lesson: number): T[] {
  const count = segments.length;
  const free = Math.max(0, lesson - count);
  const planned = segments.reduce((sum, segment) => sum + segment.minutes, 0);
  const shares = segments.map((segment) =>
    planned === count ? free / count : (free * (segment.minutes - 1)) / (planned - count),
  );
  const whole = shares.map(Math.floor);
  const left = free - whole.reduce((sum, n) => sum + n, 0);
  const order = shares
    .map((share, i) => ({ i, rest: share - Math.floor(share) }))
    .sort((a, b) => b.rest - a.rest || a.i - b.i)
    .slice(0, left)
    .map(({ i }) => i);
  return segments.map((segment, i) => ({ ...segment, minutes: 1 + (whole[i] ?? 0) + (order.includes(i) ? 1 : 0) }));
}
