import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { reasonText, stateOf } from './signals';

const signal: Schema['GroupSignalView'] = {
  groupId: 'g',
  call: null,
  visits: 0,
  visitedAt: null,
  visitor: null,
  name: null,
  since: null,
  mark: null,
  changedAt: 1_000_000,
  filled: 2,
  slots: 4,
  silent: [],
  done: false,
  stirredAt: 1_000_000,
  stillFrom: 1_150_000,
  nobody: false,
  waitsFor: [],
};
const now = 1_060_000;

describe('what stands under a table while its group is at work', () => {
  it('is its call before anything else', () => {
    const call = { by: 'a', about: 'stuck' as const, at: now, seenAt: null };
    expect(stateOf({ ...signal, call, name: 'Ines' }, now)).toEqual({
      text: 'asking for help: stuck',
      short: 'stuck',
      strong: true,
    });
  });
  it('is who is there, or how far it is, and how often it was visited', () => {
    expect(stateOf({ ...signal, name: 'Ines' }, now).text).toBe('Ines is there');
    expect(stateOf({ ...signal, slots: 0, filled: 0 }, now).text).toBe('not visited');
    expect(stateOf({ ...signal, visits: 2 }, now)).toEqual({ text: '2/4 filled in · visited 2×', strong: false });
  });
  it('is that nothing has changed for long, unless it is done', () => {
    expect(stateOf(signal, now + 200_000)).toEqual({ text: 'No activity for 4 min', strong: true });
    expect(stateOf({ ...signal, filled: 4, done: true }, now + 200_000).strong).toBe(false);
  });
  it('names the mark that lies there', () => {
    expect(stateOf({ ...signal, mark: 'wellDone' }, now).text).toContain('Well done');
  });
});

describe('why a group is next', () => {
  it('says what it calls for and how long it has waited', () => {
    const call = { by: 'a', about: 'trouble' as const, at: now - 125_000, seenAt: null };
    expect(reasonText({ groupId: 'g', reason: 'called', since: now - 125_000 }, { ...signal, call }, now)).toBe(
      'something isn’t working, waiting 2 min',
    );
  });
  it('says how many are missing or silent', () => {
    expect(reasonText({ groupId: 'g', reason: 'missing', since: 2 }, signal, now)).toBe('2 members missing');
    expect(reasonText({ groupId: 'g', reason: 'silent', since: 1 }, signal, now)).toBe('1 hasn’t written yet');
    expect(reasonText({ groupId: 'g', reason: 'notYet', since: 0 }, signal, now)).toBe('not visited yet');
  });
});
