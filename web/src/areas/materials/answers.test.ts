import { describe, expect, it } from 'vitest';
import type { Schema, Whole } from '../../api/client';
import { asked, heard, withMessage, type AnswerChange } from './answers';

type Copy = Whole<Schema['CopyView']>;

const copy: Copy = {
  id: 'c',
  groupId: 'g',
  name: 'Copy',
  title: 'Sheet',
  original: 'o',
  studentId: null,
  way: 'together',
  pages: [],
  html: [],
  notes: [],
  fillers: [],
  locked: false,
  closesAt: null,
  answers: [{ slot: 's', owner: 'c', text: 'a😀b', revision: 3, author: 'ada', at: 1, caret: null, share: 0 }],
};
const change = (more: Partial<AnswerChange>): AnswerChange => ({
  kind: 'change',
  copy: 'c',
  slot: 's',
  owner: 'c',
  revision: 4,
  author: 'ben',
  when: 2,
  share: 0.5,
  caret: null,
  at: null,
  gone: null,
  put: null,
  ...more,
});

describe('what comes over the stream', () => {
  it('a change is put on the text it was made from, counted in whole signs', () => {
    const now = withMessage(copy, change({ at: 2, gone: 1, put: 'cd' }));
    expect(now?.answers[0]).toMatchObject({
      text: 'a😀cd',
      revision: 4,
      author: 'ben',
      at: 2,
      caret: null,
      share: 0.5,
    });
  });

  it('where one is missing in between, or what changed is too much to send, the copy is asked for', () => {
    expect(withMessage(copy, change({ revision: 5, at: 0, gone: 0, put: 'x' }))).toBeNull();
    expect(withMessage(copy, change({}))).toBeNull();
  });

  it('an older one, and one of another copy, change nothing', () => {
    expect(withMessage(copy, change({ revision: 3, at: 0, gone: 0, put: 'x' }))).toBe(copy);
    expect(withMessage(copy, change({ copy: 'other' }))).toBe(copy);
    const old = { slot: 's', owner: 'c', text: 'old', revision: 2, author: 'ada', at: 0, caret: null, share: 0 };
    expect(withMessage(copy, { kind: 'answer', copy: 'c', answer: old })).toBe(copy);
  });

  it('a first answer begins from nothing', () => {
    const now = withMessage(copy, change({ owner: 'ben', revision: 1, at: 0, gone: 0, put: 'hello' }));
    expect(now?.answers.find((answer) => answer.owner === 'ben')?.text).toBe('hello');
  });
});

describe('copies that are asked for', () => {
  it('an answer that overtakes them on the way is not lost', async () => {
    const [now] = await asked(async () => {
      heard(change({ at: 3, gone: 0, put: '!' }));
      return Promise.resolve([copy]);
    });
    expect(now?.answers[0]).toMatchObject({ text: 'a😀b!', revision: 4 });
  });

  it('what came meanwhile and cannot be put in is asked for once more', async () => {
    let times = 0;
    const newer = { ...copy, answers: copy.answers.map((answer) => ({ ...answer, text: 'all of it', revision: 5 })) };
    const [now] = await asked(async () => {
      times++;
      if (times === 1) heard(change({ revision: 5 }));
      return Promise.resolve([times === 1 ? copy : newer]);
    });
    expect([times, now?.answers[0]?.text]).toEqual([2, 'all of it']);
  });

  it('what was heard before or after is none of its business', async () => {
    heard(change({ at: 0, gone: 0, put: 'before' }));
    const [now] = await asked(() => Promise.resolve([copy]));
    heard(change({ at: 0, gone: 0, put: 'after' }));
    expect(now).toBe(copy);
  });
});
