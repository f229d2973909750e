import { expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import type { Phase } from '../live/phase';
import { doneAfter, nothingDone, stepOf, type Step } from './guide';

type Group = Schema['GroupSignalView'];
const group = (of: Partial<Group>): Group => ({ call: null, visits: 0, visitor: null, ...of }) as Group;
const call = { by: 'ada', about: 'stuck', at: 1, seenAt: null } as Schema['CallView'];
const students = (here: number, all = 4) =>
  Array.from({ length: all }, (_, i) => ({ claimed: i < here }) as Schema['SeatedStudent']);

it('leads from the first arrivals to the call back', () => {
  const course: [Phase, number, Group[], Step][] = [
    ['planned', 1, [], 'wait'],
    ['planned', 2, [], 'sendOut'],
    ['looking', 4, [group({})], 'look'],
    ['out', 4, [group({})], 'visit'],
    ['out', 4, [group({ visitor: 'me', visits: 1 })], 'with'],
    ['out', 4, [group({ visits: 1 })], 'visit'],
    ['out', 4, [group({ visits: 1 }), group({ call })], 'answer'],
    ['out', 4, [group({ visits: 1 }), group({ visitor: 'me', visits: 1 })], 'with'],
    ['out', 4, [group({ visits: 1 }), group({ visits: 1 })], 'callBack'],
    ['comingBack', 4, [group({ visits: 1 })], 'comeBack'],
    ['back', 4, [], 'done'],
  ];
  let done = nothingDone;
  for (const [phase, here, signals, step] of course) {
    const lesson = { signals, students: students(here) };
    done = doneAfter(done, lesson);
    expect(stepOf(lesson, phase, done)).toBe(step);
  }
  expect(done).toEqual({ asked: true, answered: true });
});

it('takes a call that was taken back for no answer', () => {
  const asked = doneAfter(nothingDone, { signals: [group({ call })], students: [] });
  expect(doneAfter(asked, { signals: [group({})], students: [] }).answered).toBe(false);
});

it('changes nothing where nothing has happened', () => {
  expect(doneAfter(nothingDone, { signals: [group({})], students: students(4) })).toBe(nothingDone);
});
