import { describe, expect, it } from 'vitest';
import type { Schema } from '../../../api/client';
import { Hearing, withNews } from './news';

type Now = Schema['StudentNow'];

const notice = (seq: number, text: string): Schema['NoticeView'] => ({ seq, text, at: seq });
const now: Now = {
  id: 'ada',
  name: 'Ada',
  className: '9G',
  lesson: 'l1',
  lessonTitle: '',
  seq: 5,
  serverNow: 0,
  moments: null,
  aside: null,
  fetchedAt: null,
  otherDevice: null,
  alone: [],
  young: null,
  takesIn: false,
  group: null,
  segment: null,
  round: null,
  mainSession: { way: 'press', name: '', openers: [] },
  seenIn: 'main',
  notices: [notice(4, 'Two minutes left.')],
  signUp: null,
  over: false,
  speaking: { muted: false, given: false, asked: false },
};
const moments = {
  lookFrom: 8,
  outAt: 9,
  endsAt: null,
  autoSeconds: null,
  calledAt: null,
  backAt: null,
  pausedAt: null,
};

describe('what a student’s page hears', () => {
  it('shows a notice once, the latest first', () => {
    const said = withNews(now, { kind: 'notice', lesson: 'l1', notice: notice(6, 'One minute.') });
    const again = withNews(said, { kind: 'notice', lesson: 'l1', notice: notice(6, 'One minute.') });
    expect(again.notices.map((one) => one.text)).toEqual(['One minute.', 'Two minutes left.']);
  });

  it('passes over a round that is older than what it shows', () => {
    const round = { kind: 'round', lesson: 'l1', round: 'r1', moments } as const;
    expect(withNews(now, { ...round, seq: 5 })).toBe(now);
    expect(withNews(now, { ...round, seq: 6 }).seq).toBe(6);
  });

  it('is not undone by an answer that left the server before it', async () => {
    const hearing = new Hearing();
    const asked = hearing.asked(async () => {
      await Promise.resolve();
      hearing.hear({ kind: 'seen', place: 'quay' });
      hearing.hear({ kind: 'notice', lesson: 'l1', notice: notice(6, 'One minute.') });
      hearing.hear({ kind: 'notice', lesson: 'another lesson', notice: notice(7, 'Not for us.') });
      return now;
    });
    expect(await asked).toMatchObject({ seenIn: 'quay', notices: [{ seq: 6 }, { seq: 4 }] });
    // What is over is over: the next answer stands for itself.
    expect(await hearing.asked(() => Promise.resolve(now))).toBe(now);
  });

  it('does not take an answer after that of a later asking', async () => {
    const hearing = new Hearing();
    let answer: (late: Now) => void = () => undefined;
    const first = hearing.asked(() => new Promise<Now>((resolve) => (answer = resolve)));
    expect(await hearing.asked(() => Promise.resolve({ ...now, seenIn: 'quay' }))).toMatchObject({ seenIn: 'quay' });
    answer(now);
    expect(await first).toBeNull();
  });
});
