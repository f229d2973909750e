import { describe, expect, it } from 'vitest';
import { newBlock, type Block } from './blocks';
import { between, share, things, without, written } from './things';

const items = ['a', 'b'].map((id) => ({ id, text: id, under: '' }));
const heads = [{ id: 'h', text: 'h', under: '' }];
const of = (kind: Block['kind']): Block => {
  const block = newBlock(kind, {});
  return { ...block, settings: { ...block.settings, items, heads } };
};

describe('what slots hold that hold things', () => {
  it('the same is written the same, whatever came first', () => {
    expect(written({ b: { under: 'h', place: 1 }, a: true })).toBe('{"a":true,"b":{"place":1,"under":"h"}}');
    expect(written({})).toBe('');
    expect(things('')).toEqual({});
    expect(things('not JSON')).toEqual({});
    expect(without({ a: 1, b: 2 }, 'a')).toEqual({ b: 2 });
  });

  it('there is always a place between two, before and behind', () => {
    expect([
      between(undefined, undefined),
      between(1, undefined),
      between(undefined, 1),
      between(1, 2),
      between(1, 1.5),
    ]).toEqual([1, 2, 0, 1.5, 1.25]);
  });

  it('as much is done as is done', () => {
    const cases: [Block['kind'], string, number][] = [
      ['each', ' \u00a0', 0],
      ['each', 'x', 1],
      ['sort', '{"a":{"place":1,"under":"h"}}', 0.5],
      ['ticks', '{"a":true,"b":true}', 1],
      ['table', '{"a|h":"1"}', 0.5],
      ['table', '{"a|h":"1","b|h":" "}', 0.5],
      ['table', '{"r":1,"r|h":"ours"}', 0],
      ['mend', '{"a":"a"}', 0],
      ['mend', '{"a":"A."}', 0.5],
      ['choose', '{"a":true}', 1],
      ['markUp', '', 0],
      ['markUp', '{"m":{"from":0,"kind":"h","to":1}}', 1],
    ];
    expect(cases.map(([kind, value]) => share(of(kind), value))).toEqual(cases.map(([, , done]) => done));
  });
});
