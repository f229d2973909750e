import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { nextStep } from './nextStep';

type Lesson = Schema['LessonView'];

const student = (id: string): Lesson['students'][number] => ({
  id,
  name: id,
  absent: false,
  claimed: false,
  place: 'lost',
  because: 'never',
  at: null,
  table: null,
  attributes: [],
  tags: [],
});
const room = (groupId: string | null, state: Schema['RoomState']): Lesson['rooms'][number] => ({
  id: `r${groupId ?? ''}`,
  groupId,
  name: 'R',
  state,
  working: false,
  failure: null,
});
const empty = {
  students: [],
  floor: { id: 'f', name: 'F', step: 0, undo: null, redo: null, groups: [], fixed: [] },
  rooms: [],
  copies: [],
  handOut: [],
} as unknown as Lesson;
const dealt: Lesson = {
  ...empty,
  students: [student('a'), student('b')],
  floor: { ...empty.floor, groups: [{ id: 'g', name: 'G', number: 1, mark: 0, students: ['a', 'b'] }] },
};
const withRooms: Lesson = { ...dealt, rooms: [room(null, 'made'), room('g', 'made')] };
const row: Lesson['handOut'][number] = {
  original: 'o',
  title: 'O',
  version: 1,
  unfinished: null,
  variants: [],
  way: 'together',
  cells: [],
  variant: '',
  by: null,
  missing: 1,
  written: 0,
  outdated: 0,
};
const written: Lesson = { ...withRooms, handOut: [row] };
const copied: Lesson = { ...withRooms, handOut: [{ ...row, missing: 0 }] };

describe('the one thing to do next', () => {
  it('goes the way of the job', () => {
    const way: [Lesson, string][] = [
      [empty, 'roster'],
      [{ ...empty, students: dealt.students }, 'deal'],
      [dealt, 'rooms'],
      [{ ...dealt, rooms: [room(null, 'made'), room('g', 'failed')] }, 'retryRooms'],
      [{ ...dealt, rooms: [room(null, 'made'), { ...room('g', 'planned'), working: true }] }, 'waitRooms'],
      [withRooms, 'original'],
      [{ ...written, handOut: [{ ...row, unfinished: 'There is nothing on the original yet.' }] }, 'original'],
      [written, 'copies'],
      [{ ...written, handOut: [{ ...row, written: 1 }] }, 'goOn'],
      [copied, 'send'],
    ];
    expect(way.map(([lesson]) => nextStep(lesson).kind)).toEqual(way.map(([, kind]) => kind));
  });

  it('is named by what will happen', () => {
    expect(nextStep(dealt).label).toBe('Make 2 rooms');
    expect(nextStep(copied).label).toBe('Send 2 students to 1 room');
  });

  it('counts a room of a table that is gone no more', () => {
    expect(nextStep({ ...dealt, rooms: [room(null, 'made'), room('old', 'failed')] }).kind).toBe('rooms');
  });
});
