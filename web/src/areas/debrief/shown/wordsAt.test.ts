import { describe, expect, it } from 'vitest';
import { wordsAt } from './wordsAt';

describe('the words of a text', () => {
  it('are numbered in order, and put together again are the text', () => {
    for (const text of ['', ' ', 'One', ' The wall\n\ngoes  behind the yard. ', 'дом у моря', '河 の 上']) {
      const parts = wordsAt(text);
      expect(parts.map((part) => part.text).join('')).toBe(text);
      const numbers = parts.filter((part) => part.n !== null).map((part) => part.n);
      expect(numbers).toEqual(numbers.map((_, i) => i));
    }
    expect(wordsAt('The wall goes').map((part) => part.n)).toEqual([0, null, 1, null, 2]);
  });
});
