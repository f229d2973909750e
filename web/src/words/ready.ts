import { count, list } from './common';

/** Words of the set-up list, and of what is sent. */
export const readyWords = {
  title: 'Set-up list',
  lead: 'This is what will be done, and nothing else. Nothing of it has happened yet.',
  nothing: 'Everything is set up as it is planned.',
  steps: (n: number) => count(n, 'thing to do', 'things to do'),
  optional: (n: number) => count(n, 'optional change', 'optional changes'),
  /** Which rounds a finding is about; none: all of them. */
  inRounds: (rounds: number[]) =>
    rounds.length === 0 ? '' : `${rounds.length === 1 ? 'Round' : 'Rounds'} ${list(rounds.map(String))}: `,
  round: (n: number) => `Round ${n}`,
  ofRound: (n: number, what: string) => `Round ${n}: ${what}`,
  asks: (n: number) => `${count(n, 'thing', 'things')} to be asked about`,
  see: 'See the list',
  ofClass: 'The class',
  gone: 'Groups that are gone',
  ask: 'These would lose something. They are left alone unless you tick them.',
  doAll: 'Do all of this',
  doTicked: (n: number) => `and ${count(n, 'ticked thing', 'ticked things')}`,
  running: (done: number, of: number) => `${done} of ${of} done`,
  left: 'You can go on working, or close this page: it is carried out all the same.',
  failed: (n: number) => `${count(n, 'thing', 'things')} could not be done`,
  again: 'It is tried again by itself.',
  tryAgain: 'Try again',
  tryAll: 'Try all of them again',
  changed: 'Something has changed meanwhile. Look at the list as it is now.',
  sending: {
    title: 'What is sent',
    none: 'nothing is sent',
    choose: 'Choose what is sent',
    posts: 'A post to each group in the course portal',
    postsHint: 'Only the members of a group see its post.',
    letters: 'A letter to each student',
    lettersHint: (n: number) =>
      n === 0
        ? 'Nobody on the class list has an e-mail address yet.'
        : `${count(n, 'student has', 'students have')} an e-mail address.`,
    unit: 'Unit of the course',
    due: 'Due',
    noDue: 'No due time',
    counted: 'It counts for marks',
    goesOut: 'What you choose here goes out when you set up.',
    portal: 'Look at it in the course portal',
    back: 'Letters that did not arrive',
    takeAlong: 'Export the set-up:',
    codes: 'With personal codes',
    codesWarning: 'Anyone who has a student’s code can join as that student. Don’t share this file.',
    state: (posted: number, written: number, back: number) =>
      list([
        ...(posted > 0 ? [count(posted, 'post', 'posts')] : []),
        ...(written > 0 ? [count(written, 'letter', 'letters')] : []),
        ...(back > 0 ? [`${count(back, 'letter', 'letters')} came back`] : []),
      ]),
    planned: (posts: boolean, letters: boolean) =>
      list([...(posts ? ['posts'] : []), ...(letters ? ['letters'] : [])]) + ' planned',
  },
};
