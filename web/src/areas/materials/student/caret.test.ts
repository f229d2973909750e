import { describe, expect, it } from 'vitest';
import { movedCaret } from './caret';

/** `|` is the caret. */
const after = (before: string, text: string) => {
  const caret = before.indexOf('|');
  const to = movedCaret(before.replace('|', ''), text, caret);
  return `${text.slice(0, to)}|${text.slice(to)}`;
};

describe('the caret stays between the same signs', () => {
  it.each([
    ['The wall|', 'The wall goes', 'The wall| goes'],
    ['wall| goes', 'The wall goes', 'The wall| goes'],
    ['|wall', 'The wall', '|The wall'],
    ['one two|', 'one', 'one|'],
    ['one t|wo three', 'one 2 three', 'one 2| three'],
    ['same|', 'same', 'same|'],
    ['|', 'new', '|new'],
    ['one Fay|', 'one two Fay three', 'one two Fay| three'],
    ['Fay| and', 'Chi Fay Esi and Dov', 'Chi Fay| Esi and Dov'],
    ['Fay|', 'Esi', 'Esi|'],
  ])('%s → %s', (before, text, expected) => expect(after(before, text)).toBe(expected));
});
