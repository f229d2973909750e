import { count } from './common';

/** A length of time in words, as short as it can be heard: “40 s”, “3 min”. */
const lasting = (seconds: number) =>
  seconds < 60 ? `${Math.max(0, Math.floor(seconds))} s` : `${Math.floor(seconds / 60)} min`;

/** Words of going round: calls, visits, chalk marks. */
export const liveWords = {
  next: 'Whom to visit next',
  goTo: (group: string) => `Go to ${group}`,
  onTo: (group: string) => `On to ${group}`,
  leave: 'Come away',
  with: (group: string) => `You are with ${group}`,
  after: 'After that',
  nobody: 'Somebody is with every group.',
  calls: (n: number) => count(n, 'group calls', 'groups call'),
  about: {
    question: 'has a question',
    stuck: 'is stuck',
    look: 'wants it looked at',
    trouble: 'something does not work',
    done: 'is done',
  },
  why: {
    called: (about: string, seconds: number) => `calls, ${about}: ${lasting(seconds)}`,
    still: (seconds: number) => `nothing new for ${lasting(seconds)}`,
    behind: 'well behind the others',
    missing: (n: number) => count(n, 'member missing', 'members missing'),
    silent: (n: number) => count(n, 'member has written nothing', 'members have written nothing'),
    notYet: 'nobody has been there yet',
    longAgo: (seconds: number) => `visited ${lasting(seconds)} ago`,
  },
  see: 'Let them know you saw it',
  seen: 'They know you saw it',
  listen: 'Listen to its room',
  heard: 'Stop listening',
  mark: 'Put a mark on the table',
  marks: { seen: 'Seen', wellDone: 'Well done', listening: 'Listening', hurry: 'Hurry' },
  noMark: 'Wipe it off',
  toWhom: 'To whom',
  toAll: 'everybody',
  noticeTo: (group: string) => `A notice to ${group}`,
  saidTo: (group: string) => `to ${group}:`,
  table: {
    calls: (about: string) => `calls: ${about}`,
    with: (name: string) => `${name} is there`,
    still: (seconds: number) => `still for ${lasting(seconds)}`,
    slots: (done: number, all: number) => `${done}/${all} filled`,
    visits: (n: number) => (n === 0 ? 'not visited' : `visited ${n}×`),
    done: 'done',
  },
};
