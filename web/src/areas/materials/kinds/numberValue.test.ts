import { describe, expect, it } from 'vitest';
import file from '../../../../../core/tests/Materials/Slot/numbers.json';
import { keptNumber, median } from './numberValue';

describe('a number, as it is typed', () => {
  it.each(file.typed)('“$typed” is kept as “$kept”', ({ typed, kept }) => expect(keptNumber(typed)).toBe(kept));

  it('is kept in a form that stays as it is', () => {
    for (const { kept } of file.typed) if (kept !== null) expect(keptNumber(kept)).toBe(kept);
  });

  it('has one in the middle, or half-way between two', () => {
    expect([median([3, 1, 2]), median([4, 1, 2, 3]), median([7])]).toEqual([2, 2.5, 7]);
    expect(median([])).toBeNaN();
  });
});
