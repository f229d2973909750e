import { describe, expect, it } from 'vitest';
import { isFree, keptApart, movedCaret } from './caret';

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
    ['|wall', 'The wall', 'The |wall'],
    ['one two|', 'one', 'one|'],
    ['one t|wo three', 'one 2 three', 'one 2| three'],
    ['same|', 'same', 'same|'],
    ['|', 'new', 'new|'],
    ['one Fay|', 'one two Fay three', 'one two Fay| three'],
    ['Fay| and', 'Chi Fay Esi and Dov', 'Chi Fay| Esi and Dov'],
    ['Fay|', 'Esi', 'Esi|'],
    ['Dovsays Dov|', 'Dovsays Esisays Chi Dov Fay', 'Dovsays Esisays Chi Dov| Fay'],
    ['Dovsays Dov|', 'Esisays Dovsays Chisays Dov Fay', 'Esisays Dovsays Chisays Dov| Fay'],
    ['A D|', 'Adasays A Dovsays D Dov', 'Adasays A Dovsays D| Dov'],
    ['Dov |', 'Dov Esi ', 'Dov Esi |'],
    [' |', '  Dovs', ' | Dovs'],
    [' |', ' Dovs ', ' Dovs |'],
    ['Dov |', 'Dov Esi', 'Dov Esi|'],
    ['Ada Ben|Chi', 'Ada Dov BenChis Esi', 'Ada Dov Ben|Chis Esi'],
    ['Ad Esisa| Bensa', 'Bensays Esiagain Adas Bensay Esisa Adasays', 'Bensays Esiagain Adas Bensay Esisa| Adasays'],
    ['Ada Chi| Dov', 'Ada Fay BenChi Dov', 'Ada Fay BenChi| Dov'],
    ['one  | two', 'one and  two', 'one and | two'],
    ['one | two', 'one and', 'one |and'],
  ])('%s → %s', (before, text, expected) => expect(after(before, text)).toBe(expected));
});

describe('where others closed in on the caret, what is typed is a word of its own', () => {
  const typing = (before: string, piece: string) => {
    const caret = before.indexOf('|');
    const kept = keptApart(before.replace('|', piece), caret, caret + piece.length);
    return `${kept.text.slice(0, kept.caret)}|${kept.text.slice(kept.caret)}`;
  };
  it.each([
    ['Dov Esi|', 'a', 'Dov Esi a|'],
    ['Dov |Esi', 'a', 'Dov a| Esi'],
    ['Dov|Esi', 'a', 'Dov a| Esi'],
    ['Dov Esi|', ' ', 'Dov Esi |'],
    ['Dov Esi|', ' a', 'Dov Esi a|'],
    ['Dov | Esi', 'a', 'Dov a| Esi'],
    ['|', 'a', 'a|'],
  ])('%s and “%s” → %s', (before, piece, expected) => expect(typing(before, piece)).toBe(expected));

  it.each([
    ['', 0, true],
    ['a ', 2, true],
    ['a b', 1, false],
    ['a b', 2, false],
    ['a  b', 2, true],
    ['a', 1, false],
    ['a', 2, false],
  ])('a caret in “%s” behind %i signs is free: %s', (text, caret, free) => expect(isFree(text, caret)).toBe(free));
});
