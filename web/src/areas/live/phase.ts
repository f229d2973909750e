// Which phase a round is in, by its moments and the clock.
import type { Schema } from '../../api/client';

export type Moments = Schema['Moments'];
export type Phase = 'planned' | 'looking' | 'out' | 'comingBack' | 'back';

/**
 * Where a round stands, from its agreed moments and a clock. The same rule as core's RoundState::phase; both are held
 * to the cases in core/tests/Lesson/phases.json. It is here too so that a page follows the agreed end with no network.
 */
export function phaseOf(moments: Moments | null, now: number): Phase {
  if (moments?.outAt == null) return 'planned';
  const from = comingBackFrom(moments);
  if (from !== null && now >= from) return now < (comingBackUntil(moments) ?? from) ? 'comingBack' : 'back';
  return now < moments.outAt ? 'looking' : 'out';
}

export function comingBackFrom(moments: Moments): number | null {
  return moments.calledAt ?? (endsByItself(moments) ? moments.endsAt : null);
}

export function comingBackUntil(moments: Moments): number | null {
  if (moments.backAt !== null) return moments.backAt;
  return !endsByItself(moments) || moments.endsAt === null ? null : moments.endsAt + 1000 * (moments.autoSeconds ?? 0);
}

/** While the clock stands still nothing happens by itself. */
const endsByItself = (moments: Moments) => moments.autoSeconds !== null && moments.pausedAt === null;

/** What the clock of the work shows: the time it is, or the time at which it was stopped. */
export const clockOf = (moments: Moments, now: number): number => moments.pausedAt ?? now;
