/** Steps that can be taken back, and taken again. Typing on is one step. */
export interface Steps<T> {
  before: T[];
  now: T;
  after: T[];
  /** What the last step was about, and when: the same thing within a moment goes on with it. */
  about: string;
  at: number;
}

const goesOn = 1_500;
const most = 100;

export const first = <T>(now: T): Steps<T> => ({ before: [], now, after: [], about: '', at: 0 });

export function step<T>(steps: Steps<T>, next: T, about: string, at: number): Steps<T> {
  const same = about !== '' && about === steps.about && at - steps.at < goesOn;
  const before = same ? steps.before : [...steps.before, steps.now].slice(-most);
  return { before, now: next, after: [], about, at };
}

export function back<T>(steps: Steps<T>): Steps<T> {
  const now = steps.before.at(-1);
  if (now === undefined) return steps;
  return { before: steps.before.slice(0, -1), now, after: [steps.now, ...steps.after], about: '', at: 0 };
}

export function again<T>(steps: Steps<T>): Steps<T> {
  const [now, ...after] = steps.after;
  if (now === undefined) return steps;
  return { before: [...steps.before, steps.now], now, after, about: '', at: 0 };
}
