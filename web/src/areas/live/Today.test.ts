import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { nextToday } from './Today';

type Lesson = Schema['LessonSummary'];

const at = (hour: number, minute = 0, day = 25) => new Date(2026, 10, day, hour, minute).getTime();
const lesson = (id: string, startsAt: number | null, minutes = 50): Lesson => ({
  id,
  classId: 'c',
  title: id,
  minutes,
  startsAt,
  template: startsAt === null,
  current: false,
  begun: false,
  endedAt: null,
});

describe('today', () => {
  const day = [
    lesson('second', at(11)),
    lesson('first', at(9)),
    lesson('tomorrow', at(9, 0, 26)),
    lesson('usual', null),
  ];

  it('the next lesson is the first that is not over', () => {
    expect(nextToday(day, at(8))?.id).toBe('first');
    expect(nextToday(day, at(9, 30))?.id).toBe('first');
    expect(nextToday(day, at(9, 50))?.id).toBe('second');
  });

  it('one that has been ended is not next, however early that was', () => {
    const ended = day.map((one) => (one.id === 'first' ? { ...one, begun: true, endedAt: at(9, 20) } : one));
    expect(nextToday(ended, at(9, 30))?.id).toBe('second');
    expect(nextToday(ended.slice(1, 2), at(9, 30))).toBeUndefined();
  });

  it('after the last it stays with the last, and on another day there is none', () => {
    expect(nextToday(day, at(20))?.id).toBe('second');
    expect(nextToday(day, at(8, 0, 27))).toBeUndefined();
    expect(nextToday([lesson('usual', null)], at(8))).toBeUndefined();
  });
});
