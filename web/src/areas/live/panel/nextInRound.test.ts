import { describe, expect, it } from 'vitest';
import type { Schema } from '../../../api/client';
import { nextInRound } from './nextInRound';

const signal = (change: Partial<Schema['GroupSignalView']> = {}) =>
  ({ groupId: 'q', nobody: false, done: false, call: null, ...change }) as Schema['GroupSignalView'];
const waiting = { by: 'a', about: 'stuck' as const, at: 0, seenAt: null };
const visits = [{ groupId: 'q', reason: 'called' as const, since: 0 }] as Schema['NextVisitView'][];
const at = (endsAt: number | null, pausedAt: number | null = null) => ({ moments: { endsAt, pausedAt } });

describe('what is next while groups are at work', () => {
  it('is a visit while there is somebody to visit', () => {
    expect(nextInRound({ signals: [signal()], visits, round: at(600_000) }, 'out', 0)).toBe('visit');
    expect(nextInRound({ signals: [signal()], visits, round: at(null) }, 'out', 0)).toBe('visit');
  });

  it('is the call back when time is nearly over, unless the clock is paused', () => {
    expect(nextInRound({ signals: [signal()], visits, round: at(60_000) }, 'out', 0)).toBe('callBack');
    expect(nextInRound({ signals: [signal()], visits, round: at(-5_000) }, 'out', 0)).toBe('callBack');
    expect(nextInRound({ signals: [signal()], visits, round: at(60_000, 1) }, 'out', 0)).toBe('visit');
  });

  it('is the call back when every group that is there is done, and none is waiting', () => {
    const done = signal({ done: true });
    const empty = signal({ nobody: true });
    expect(nextInRound({ signals: [done, empty], visits, round: at(null) }, 'out', 0)).toBe('callBack');
    expect(nextInRound({ signals: [done, signal()], visits, round: at(null) }, 'out', 0)).toBe('visit');
    expect(nextInRound({ signals: [signal({ done: true, call: waiting })], visits, round: at(null) }, 'out', 0)).toBe(
      'visit',
    );
  });

  it('is nothing while they are on their way, out or back', () => {
    for (const phase of ['looking', 'comingBack', 'back'] as const)
      expect(nextInRound({ signals: [signal()], visits, round: at(null) }, phase, 0)).toBeNull();
  });
});
