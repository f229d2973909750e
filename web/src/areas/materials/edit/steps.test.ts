import { describe, expect, it } from 'vitest';
import { again, back, first, step } from './steps';

describe('steps', () => {
  it('are taken back and taken again, one by one', () => {
    const three = step(step(first(1), 2, '', 0), 3, '', 0);
    expect(back(three).now).toBe(2);
    expect(back(back(three)).now).toBe(1);
    expect(back(back(back(three))).now).toBe(1);
    expect(again(back(three)).now).toBe(3);
    expect(again(three)).toBe(three);
    expect(again(step(back(three), 9, '', 0)).now).toBe(9);
  });

  it('typing on in the same place is one', () => {
    const typed = step(step(step(first(''), 'a', 'title', 1_000), 'ab', 'title', 2_000), 'abc', 'title', 3_000);
    expect(back(typed).now).toBe('');
    expect(back(step(typed, 'x', 'title', 9_000)).now).toBe('abc');
    expect(back(step(typed, 'x', 'other', 3_100)).now).toBe('abc');
  });
});
