import { describe, expect, it } from 'vitest';
import type { Schema, Whole } from '../../../api/client';
import { isFresh, looked } from './fresh';
import { neighbour, passes, worthALook, type Row } from './rows';

type Copy = Whole<Schema['CopyView']>;

const page = (id: string, slot: string): Copy['pages'][number] => ({
  id,
  title: id,
  blocks: [
    {
      id: slot,
      kind: 'together',
      text: slot,
      settings: {},
      variants: [],
    } as unknown as Copy['pages'][number]['blocks'][number],
  ],
});
const answer = (slot: string, at: number): Copy['answers'][number] => ({
  slot,
  owner: 'c',
  text: 'x',
  revision: 1,
  author: 'ada',
  at,
  share: 1,
  caret: null,
});
const copy = (id: string, pages: string[], answers: Copy['answers']): Copy => ({
  id,
  original: 'o',
  groupId: id,
  studentId: null,
  way: 'together',
  name: id,
  title: 'The sheet',
  pages: pages.map((one) => page(one, `${one}-slot`)),
  html: [],
  answers,
  notes: [],
  fillers: [],
  locked: false,
  closesAt: null,
});
const row = (id: string, pages: string[], answers: Copy['answers'], more: Partial<Row> = {}): Row => ({
  copy: copy(id, pages, answers),
  group: null,
  members: [],
  title: id,
  called: false,
  still: false,
  done: false,
  ...more,
});

describe('the walk-round', () => {
  it('has a page fresh until just that page was looked at', () => {
    const one = row('a', ['p1', 'p2'], [answer('p1-slot', 5), answer('p2-slot', 7)]);
    const [p1, p2] = one.copy.pages as [Copy['pages'][number], Copy['pages'][number]];
    const seen = looked({}, [{ copy: one.copy, page: p1 }]);
    expect([isFresh(one.copy, p1, seen), isFresh(one.copy, p2, seen)]).toEqual([false, true]);
    expect(passes(one, 'fresh', seen)).toBe(true);
    expect(passes(one, 'fresh', looked(seen, [{ copy: one.copy, page: p2 }]))).toBe(false);
  });

  it('has a page fresh again when its margin note was answered', () => {
    const one = row('a', ['p1'], [answer('p1-slot', 5)]);
    const [p1] = one.copy.pages as [Copy['pages'][number]];
    const seen = looked({}, [{ copy: one.copy, page: p1 }]);
    const note = { slot: 'p1-slot', answeredAt: 9 } as Copy['notes'][number];
    expect(isFresh({ ...one.copy, notes: [note] }, p1, seen)).toBe(true);
  });

  it('leads with the arrows to the same page of the next copy, and to the next page of the same', () => {
    const rows = [row('a', ['p1', 'p2'], []), row('b', ['p1', 'p2'], []), row('c', ['p1'], [])];
    const at = { copy: 'a', page: 'p2' };
    expect(neighbour(rows, at, 'ArrowDown')).toEqual({ copy: 'b', page: 'p2' });
    expect(neighbour(rows, { copy: 'b', page: 'p2' }, 'ArrowDown')).toEqual({ copy: 'c', page: 'p1' });
    expect(neighbour(rows, at, 'ArrowLeft')).toEqual({ copy: 'a', page: 'p1' });
    expect(neighbour(rows, at, 'ArrowRight')).toEqual(at);
    expect(neighbour(rows, at, 'ArrowUp')).toEqual(at);
  });

  it('keeps large, of many, those that call, then what is new, then those that are still', () => {
    const rows = [
      row('still', ['p1'], [], { still: true }),
      row('old news', ['p1'], [answer('p1-slot', 3)]),
      row('news', ['p1'], [answer('p1-slot', 8)]),
      row('calls', ['p1'], [], { called: true }),
      row('nothing', ['p1'], []),
    ];
    expect([...worthALook(rows, {}, 3)]).toEqual(['calls', 'news', 'old news']);
    expect(worthALook(rows, {}, 9).has('nothing')).toBe(false);
  });
});
