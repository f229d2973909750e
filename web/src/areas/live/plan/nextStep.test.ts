import { describe, expect, it } from 'vitest';
import type { Schema } from '../../../api/client';
import { nextStep, setUp } from './nextStep';

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
  help: null,
  aside: null,
  asideFrom: null,
  fetchedAt: null,
});
const room = (groupId: string | null, state: Schema['RoomState']): Lesson['rooms'][number] => ({
  id: `r${groupId ?? ''}`,
  purpose: groupId === null ? 'main' : 'group',
  groupId,
  name: 'R',
  state,
  working: false,
  failure: null,
  source: 'meetingService',
  link: null,
  mayRecord: false,
  mayShareScreen: true,
  mayWrite: true,
  triedAt: null,
  openedAt: null,
  missedAt: null,
});
const empty = {
  students: [],
  floor: { id: 'f', name: 'F', step: 0, undo: null, redo: null, groups: [], fixed: [] },
  rooms: [],
  roomSource: 'meetingService',
  copies: [],
  findings: [],
  handOut: [],
} as unknown as Lesson;
const dealt: Lesson = {
  ...empty,
  students: [student('a'), student('b')],
  floor: { ...empty.floor, groups: [{ id: 'g', name: 'G', number: 1, mark: 0, students: ['a', 'b'] }] },
};
const finding = (check: string, weight: 'stop' | 'look', mend: Schema['Mend'], press: string) => ({
  check,
  weight,
  says: `${check}.`,
  mend,
  press,
  subject: null,
  rounds: [],
  segment: null,
  other: null,
  otherPress: null,
});

describe('the one thing to do next', () => {
  it('is the mend of the first thing that stops', () => {
    const findings = [
      finding('withoutRoom', 'stop', 'makeRooms', 'Make 2 rooms'),
      finding('withoutCopy', 'stop', 'makeCopies', 'Make 1 copy'),
    ];
    expect(nextStep({ ...dealt, findings })).toEqual({
      kind: 'makeRooms',
      label: 'Make 2 rooms',
      subject: null,
      segment: null,
    });
  });

  it('is to send them out where nothing stops, though something is worth a look', () => {
    const findings = [finding('unevenSizes', 'look', 'desk', 'Make groups')];
    expect(nextStep({ ...dealt, findings })).toEqual({
      kind: 'send',
      label: 'Send 2 students to 1 room',
      subject: null,
    });
  });

  it('leads to another round where that is the one that is not ready', () => {
    const findings = [
      { ...finding('withoutSeat', 'stop', 'repair', 'Fix the groups'), rounds: [2], segment: 'second' },
    ];
    expect(nextStep({ ...dealt, findings })).toEqual({
      kind: 'repair',
      label: 'Round 2: Fix the groups',
      subject: null,
      segment: 'second',
    });
  });

  it('counts a room of a table that is gone no more', () => {
    expect(setUp({ ...dealt, rooms: [room(null, 'made'), room('old', 'failed')] })).toMatchObject({
      roomsMade: 1,
      roomsFailed: 0,
      withoutRoom: 1,
    });
  });
});
