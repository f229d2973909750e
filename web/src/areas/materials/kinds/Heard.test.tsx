import { act, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Block, Copy } from '../blocks';
import { changeInWords } from './changeInWords';
import Heard from './Heard';

const lists = {
  items: [
    { id: 'a', text: 'Gate' },
    { id: 'b', text: 'Reeds' },
  ],
  heads: [
    { id: 'h', text: 'stops water' },
    { id: 'l', text: 'slows water' },
  ],
  passage: 'The wall goes north.',
};
const block = (kind: Block['kind']) => ({ id: 'x', kind, text: 'Our answer', settings: lists }) as unknown as Block;

describe('a change in words', () => {
  it.each<[Block['kind'], string, string, string[]]>([
    ['together', 'The wall.', 'The high wall.', ['wrote “high”']],
    ['together', 'The high wall.', 'The wall.', ['removed some words']],
    ['each', 'same', 'same', []],
    ['ticks', '{"a":true}', '{"b":true}', ['unticked “Gate”', 'ticked “Reeds”']],
    ['choose', '', '{"b":true}', ['chose “Reeds”']],
    ['sort', '', '{"a":{"under":"h","place":1}}', ['moved “Gate” under “stops water”']],
    ['sort', '{"a":{"under":"h","place":1}}', '{"a":{"under":"l","place":1}}', ['moved “Gate” under “slows water”']],
    ['sort', '{"a":{"under":"h","place":1}}', '{"a":{"under":"","place":1}}', ['put “Gate” back with the cards']],
    ['sort', '', '{"n":{"under":"h","place":1,"text":"Ours"}}', ['moved “Ours” under “stops water”']],
    ['sort', '{"n":{"under":"h","place":1,"text":"Ours"}}', '', ['removed “Ours”']],
    ['table', '', '{"a|h":"12 m","r-1":1}', ['Gate, stops water: “12 m”', 'added a row']],
    ['table', '{"a|h":"12 m"}', '{"a|h":""}', ['emptied Gate, stops water']],
    ['mend', '', '{"b":"He goes."}', ['sentence 2: “He goes.”']],
    ['markUp', '', '{"m":{"from":4,"to":8,"kind":"h"}}', ['marked “wall” as stops water']],
    [
      'markUp',
      '{"m":{"from":4,"to":8,"kind":"h"}}',
      '{"m":{"from":4,"to":8,"kind":"h","remark":"why?"}}',
      ['wall: “why?”'],
    ],
    ['markUp', '{"m":{"from":4,"to":8,"kind":"h"}}', '', ['removed the mark from “wall”']],
    ['ownPictures', '', '{"p":{"media":"m","place":1}}', ['added a picture']],
    [
      'ownPictures',
      '{"p":{"media":"m","place":1}}',
      '{"p":{"media":"m","place":1,"caption":"The weir"}}',
      ['captioned a picture “The weir”'],
    ],
    ['ownPictures', '{"p":{"media":"m","place":1}}', '', ['removed a picture']],
  ])('of %s, from %s to %s', (kind, before, after, said) => {
    expect(changeInWords(block(kind), before, after)).toEqual(said);
  });
});

describe('what others change', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());
  const copy = (text: string, author: string) =>
    ({
      id: 'copy',
      pages: [{ id: 'p', title: '', blocks: [block('together')] }],
      answers: [{ slot: 'x', owner: 'copy', text, revision: 1, author, at: 0 }],
    }) as unknown as Copy;
  const members = [
    { id: 'ada', name: 'Ada' },
    { id: 'ben', name: 'Ben' },
  ] as never;
  const shown = (text: string, author: string) => <Heard copy={copy(text, author)} me="ada" members={members} />;
  const wait = (ms: number) => {
    act(() => {
      vi.advanceTimersByTime(ms);
    });
  };

  it('is told in one sentence once they pause, and what was there before is not', () => {
    const { rerender } = render(shown('The wall', 'ben'));
    wait(10_000);
    expect(screen.getByRole('status')).toHaveTextContent('');
    rerender(shown('The wall goes', 'ben'));
    wait(1_000);
    rerender(shown('The wall goes north', 'ben'));
    wait(1_900);
    expect(screen.getByRole('status')).toHaveTextContent('');
    wait(200);
    expect(screen.getByRole('status')).toHaveTextContent('Ben, Our answer: wrote “goes north”.');
  });

  it('is told now and then of somebody who never pauses', () => {
    const { rerender } = render(shown('', 'ben'));
    for (let n = 1; n <= 9; n++) {
      rerender(shown('word '.repeat(n), 'ben'));
      wait(1_000);
    }
    expect(screen.getByRole('status')).toHaveTextContent('Ben, Our answer: wrote “word word');
  });

  it('is nothing one does oneself', () => {
    const { rerender } = render(shown('', 'ada'));
    rerender(shown('Mine', 'ada'));
    wait(10_000);
    expect(screen.getByRole('status')).toHaveTextContent('');
  });
});
