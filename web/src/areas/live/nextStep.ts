import type { Schema } from '../../api/client';
import { words } from '../../words';

type Lesson = Schema['LessonView'];

export type NextKind =
  | 'roster'
  | 'deal'
  | 'rooms'
  | 'waitRooms'
  | 'retryRooms'
  | 'original'
  | 'copies'
  | 'goOn'
  | 'send'
  | 'begin'
  | 'nextRound'
  | 'end';

export interface NextStep {
  kind: NextKind;
  label: string;
}

/** Where the set-up of a lesson stands. */
export function setUp(lesson: Lesson) {
  const groups = lesson.floor.groups;
  const seated = new Set(groups.flatMap((group) => group.students));
  const present = lesson.students.filter((student) => !student.absent);
  const groupIds = new Set(groups.map((group) => group.id));
  const rooms = lesson.rooms.filter((room) => room.groupId === null || groupIds.has(room.groupId));
  const missing = lesson.handOut.reduce((sum, row) => sum + row.missing, 0);
  return {
    groups: groups.length,
    present: present.length,
    seated: present.filter((student) => seated.has(student.id)).length,
    onShelf: present.filter((student) => !seated.has(student.id)).length,
    rooms: groups.length === 0 ? 0 : groups.length + 1,
    roomsMade: rooms.filter((room) => room.state !== 'planned' && room.state !== 'failed').length,
    roomsFailed: rooms.filter((room) => room.state === 'failed').length,
    roomsWorking: rooms.some((room) => room.working && room.state === 'planned'),
    roomsPlanned: rooms.length,
    originals: lesson.handOut.length,
    unfinished: lesson.handOut.find((row) => row.unfinished !== null),
    copies: lesson.copies.length,
    copiesMissing: missing,
    copiesWritten: lesson.handOut.reduce((sum, row) => sum + row.written, 0),
    copiesOld: lesson.handOut.reduce((sum, row) => sum + row.outdated, 0),
  };
}

/** The one thing to do next before students are sent out. */
export function nextStep(lesson: Lesson): NextStep {
  const state = setUp(lesson);
  if (lesson.students.length === 0) return { kind: 'roster', label: words.floor.toRoster };
  if (state.groups === 0) return { kind: 'deal', label: words.next.dealFirst(state.present) };
  if (state.roomsFailed > 0) return { kind: 'retryRooms', label: words.next.makeRoomsAgain(state.roomsFailed) };
  if (state.roomsWorking) return { kind: 'waitRooms', label: words.next.roomsMaking(state.roomsMade, state.rooms) };
  if (state.roomsMade < state.rooms)
    return { kind: 'rooms', label: words.next.makeRooms(state.rooms - state.roomsMade) };
  if (state.originals === 0) return { kind: 'original', label: words.next.writeOriginal };
  if (state.unfinished !== undefined) return { kind: 'original', label: words.next.finish(state.unfinished.title) };
  if (state.copiesWritten > 0) return { kind: 'goOn', label: words.next.goOn(state.copiesMissing) };
  if (state.copiesMissing > 0) return { kind: 'copies', label: words.next.makeCopies(state.copiesMissing) };
  return { kind: 'send', label: words.next.send(state.seated, state.groups, true) };
}
