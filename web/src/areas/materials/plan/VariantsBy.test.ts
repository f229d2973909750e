import { describe, expect, it } from 'vitest';
import { attributesOf, firstGuess } from './VariantsBy';

const student = (...attributes: [string, string][]) => ({
  attributes: attributes.map(([name, value]) => ({ name, value })),
});

describe('what variants could go by', () => {
  it('is what the class list says of students, with its values in the order a reader expects', () => {
    const students = ['10', '2', '1', '2'].map((level) => student(['Level', level]));
    expect(attributesOf(students)).toEqual(new Map([['Level', ['1', '2', '10']]]));
  });

  it('is nothing that is the same for all, or another for each', () => {
    const students = Array.from({ length: 20 }, (_, n) => student(['School', 'Harbour'], ['Number', String(n)]));
    expect(attributesOf(students).size).toBe(0);
  });

  it('begins with the variant called like the value, else the one at its place, else the plain form', () => {
    const variants = [
      { id: 'e', name: 'Easy' },
      { id: 'h', name: ' hard ' },
    ];
    expect(firstGuess('Level', ['Hard', 'b', 'c'], variants).values).toEqual([
      { value: 'Hard', variant: 'h' },
      { value: 'b', variant: 'h' },
      { value: 'c', variant: '' },
    ]);
  });
});
