// The one thing to do next for a planned round, from how far its set-up is.
import type { Schema } from '../../../api/client';
import * as m from '#messages';

type Lesson = Schema['LessonView'];

export type NextKind = Schema['Mend'] | 'send' | 'begin' | 'nextRound' | 'end';

export interface NextStep {
  kind: NextKind;
  label: string;
  /** Id of what it is about. */
  subject: string | null;
  /** The segment whose round it is done in; null: the one that is shown. */
  segment?: string | null;
}

/** Where the set-up of a lesson stands. */
export function setUp(lesson: Lesson) {
  const groups = lesson.floor.groups;
  const seated = new Set(groups.flatMap((group) => group.students));
  const present = lesson.students.filter((student) => !student.absent);
  const groupIds = new Set(groups.map((group) => group.id));
  const rooms = lesson.rooms.filter(
    (room) => room.purpose === 'main' || (room.groupId !== null && groupIds.has(room.groupId)),
  );
  const there = rooms.filter((room) => room.state !== 'planned' && room.state !== 'failed');
  const withRoom = new Set(there.map((room) => room.groupId));
  return {
    groups: groups.length,
    present: present.length,
    seated: present.filter((student) => seated.has(student.id)).length,
    onShelf: present.filter((student) => !seated.has(student.id)).length,
    rooms: groups.length === 0 ? 0 : groups.length + 1,
    roomsMade: there.length,
    withoutRoom: groups.filter((group) => !withRoom.has(group.id)).length,
    roomsFailed: rooms.filter((room) => room.state === 'failed').length,
    roomsWorking: rooms.some((room) => room.working && room.state === 'planned'),
    roomsPlanned: rooms.length,
    unfinished: lesson.handOut.find((row) => row.unfinished !== null),
    copies: lesson.copies.length,
    copiesMissing: lesson.handOut.reduce((sum, row) => sum + row.missing, 0),
    copiesWritten: lesson.handOut.reduce((sum, row) => sum + row.written, 0),
    copiesOld: lesson.handOut.reduce((sum, row) => sum + row.outdated, 0),
  };
}

/** What keeps students from being sent out. */
export const stops = (lesson: Lesson) => lesson.findings.filter((finding) => finding.weight === 'stop');

/** The one thing to do next before students are sent out: the mend of the first thing that stops. */
export function nextStep(lesson: Lesson): NextStep {
  const [first] = stops(lesson);
  if (first !== undefined) {
    // What is missing in another round is mended there; what all rounds are set up with, from here.
    const segment = first.mend === 'setUp' || first.mend === 'wait' ? null : first.segment;
    const [round] = first.rounds;
    const label =
      segment !== null && round !== undefined ? m.setUp_ofRound({ n: round, what: first.press }) : first.press;
    return { kind: first.mend, label, subject: first.subject, segment };
  }
  const state = setUp(lesson);
  return { kind: 'send', label: m.next_send({ to: 'rooms', n: state.seated, g: state.groups }), subject: null };
}
