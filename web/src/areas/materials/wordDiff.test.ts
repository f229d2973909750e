import { describe, expect, it } from 'vitest';
import { wordDiff } from './wordDiff';

const text = (pieces: ReturnType<typeof wordDiff>, but: 'gone' | 'new') =>
  pieces.flatMap((piece) => (piece.kind === but ? [] : [piece.text])).join('');

describe('how a sentence became another', () => {
  it('says which words went and which came', () => {
    expect(wordDiff('He go home.', 'He goes home.')).toEqual([
      { text: 'He ', kind: 'same' },
      { text: 'go', kind: 'gone' },
      { text: 'goes', kind: 'new' },
      { text: ' home.', kind: 'same' },
    ]);
    expect(wordDiff('', '')).toEqual([]);
  });

  it('holds both texts whole, whatever they are', () => {
    const words = ['the', 'wall', 'goes', 'north', '\n', '  ', '水', '🌊'];
    let seed = 7;
    const pick = (n: number) => (seed = (seed * 48271) % 2147483647) % n;
    for (let i = 0; i < 200; i++) {
      const make = () => Array.from({ length: pick(12) }, () => words[pick(words.length)]).join(' ');
      const [a, b] = [make(), make()];
      const pieces = wordDiff(a, b);
      expect([text(pieces, 'new'), text(pieces, 'gone')]).toEqual([a, b]);
    }
  });
});
