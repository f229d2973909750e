import { describe, expect, it } from 'vitest';
import file from '../../../../core/tests/Lesson/phases.json';
import { phaseOf, type Moments } from './phase';
import { secondsUntil } from '../../api/clock';

const none: Moments = {
  lookFrom: null,
  outAt: null,
  endsAt: null,
  autoSeconds: null,
  calledAt: null,
  backAt: null,
  pausedAt: null,
};

describe('where a round stands, as core says', () => {
  it.each(file.cases)('$name', ({ moments, now, phase }) => {
    expect(phaseOf({ ...none, ...moments }, now)).toBe(phase);
  });

  it('is planned while nothing is known', () => expect(phaseOf(null, 0)).toBe('planned'));
});

describe('clocks', () => {
  it('counts the second that has begun', () => {
    expect(secondsUntil(10_000, 9_001)).toBe(1);
    expect(secondsUntil(10_000, 10_000)).toBe(0);
    expect(secondsUntil(10_000, 99_000)).toBe(0);
    expect(secondsUntil(null, 0)).toBe(0);
  });
});
