import { expect, test } from 'vitest';
import type { Schema } from '../../../api/client';
import type { SumView } from '../sum/SumPicture';
import { answeredOf, ticketsOf } from './tickets';

const segment = (id: string, closesAt: number | null = null) => ({ id, closesAt });
const lesson = (now: string | null, endedAt: number | null = null) =>
  ({
    endedAt,
    order: { now, segments: [segment('a'), segment('b', 9), segment('c')] },
    alone: [
      { segment: 'b', original: 'o1', title: 'Exit', round: 'r', roundSegment: 'a' },
      { segment: 'gone', original: 'o2', title: 'Gone', round: 'r', roundSegment: 'a' },
    ],
  }) as unknown as Pick<Schema['LessonView'], 'alone' | 'order' | 'endedAt'>;

test('a ticket is there once the lesson has come to it', () => {
  expect(ticketsOf(lesson(null))).toEqual([]);
  expect(ticketsOf(lesson('a'))).toEqual([]);
  expect(ticketsOf(lesson('b'))).toEqual([{ segment: 'b', original: 'o1', title: 'Exit', round: 'r', closesAt: 9 }]);
  expect(ticketsOf(lesson('c'))).toHaveLength(1);
});

test('of a lesson that is over all are there', () => {
  expect(ticketsOf(lesson(null, 5)).map((one) => one.original)).toEqual(['o1']);
});

test('whoever answered one question has answered', () => {
  const sources = [
    { id: 'ada', name: 'Ada' },
    { id: 'ben', name: 'Ben' },
    { id: 'chi', name: 'Chi' },
  ];
  const sums = [
    { original: 'o1', sources, missing: [1, 2] },
    { original: 'o1', sources, missing: [0, 2] },
    { original: 'o2', sources, missing: [] },
  ] as unknown as SumView[];
  expect(answeredOf(sums, 'o1')).toEqual({ answered: 2, all: 3, missing: ['Chi'] });
});
