// What has changed in an answer, in words.
import * as m from '#messages';
import type { Block } from '../blocks';
import { things, type Card, type Mark, type OwnPicture, type Things } from '../things';
import { wordDiff } from '../wordDiff';

const longest = 140;
const short = (text: string) => {
  const flat = text.replace(/\s+/gu, ' ').trim();
  return flat.length <= longest ? flat : `${flat.slice(0, longest)} …`;
};

/** Every thing that is another than before, with what it was and is. */
function changed<T>(before: Things<T>, after: Things<T>): [name: string, was: T | undefined, is: T | undefined][] {
  return [...new Set([...Object.keys(before), ...Object.keys(after)])]
    .filter((name) => JSON.stringify(before[name]) !== JSON.stringify(after[name]))
    .map((name) => [name, before[name], after[name]]);
}

interface Names {
  item: (id: string) => string;
  head: (id: string) => string;
  /** Which line it is, from 1. */
  number: (id: string) => number;
  passage: string;
}

type InWords = (before: string, after: string, names: Names) => string[];

const inText: InWords = (before, after) => {
  const pieces = wordDiff(before, after);
  const fresh = short(
    pieces
      .filter((piece) => piece.kind === 'new')
      .map((piece) => piece.text)
      .join(' '),
  );
  if (fresh !== '') return [m.heard_wrote({ text: fresh })];
  return pieces.some((piece) => piece.kind === 'gone' && piece.text.trim() !== '') ? [m.heard_tookWords()] : [];
};

const inLines =
  (done: (text: string) => string): InWords =>
  (before, after, { item }) =>
    changed<boolean>(things(before), things(after)).map(([name, , is]) =>
      is === true ? done(item(name)) : m.heard_unticked({ line: item(name) }),
    );

const inCards: InWords = (before, after, { item, head }) =>
  changed<Card>(things(before), things(after)).map(([name, was, is]) => {
    const card = is?.text ?? was?.text ?? item(name);
    if (is === undefined) return m.heard_tookAway({ card });
    if (was?.under !== is.under)
      return is.under === '' ? m.heard_backToCards({ card }) : m.heard_putUnder({ card, head: head(is.under) });
    return was.text === is.text ? m.heard_movedIn({ card, head: head(is.under) }) : m.heard_wrote({ text: card });
  });

const inCells: InWords = (before, after, { item, head }) =>
  changed<string | number>(things(before), things(after)).flatMap(([name, , is]) => {
    const [row = '', column] = name.split('|');
    if (column === undefined) return is === undefined ? [] : [m.heard_addedRow()];
    const where = item(row) === '' ? head(column) : m.heard_cell({ row: item(row), column: head(column) });
    return is === undefined || is === ''
      ? [m.heard_emptied({ where })]
      : [m.heard_wroteIn({ where, text: short(String(is)) })];
  });

const inSentences: InWords = (before, after, { number }) =>
  changed<string>(things(before), things(after)).map(([name, , is]) => {
    const where = m.heard_sentence({ n: number(name) });
    return is === undefined || is === '' ? m.heard_emptied({ where }) : m.heard_wroteIn({ where, text: short(is) });
  });

const inMarks: InWords = (before, after, { head, passage }) =>
  changed<Mark>(things(before), things(after)).map(([, was, is]) => {
    if (is === undefined) return m.heard_unmarked({ text: short(passage.slice(was?.from, was?.to)) });
    const marked = short(passage.slice(is.from, is.to));
    if (was === undefined || is.remark === undefined || was.remark === is.remark)
      return m.heard_marked({ text: marked, kind: head(is.kind) });
    return m.heard_wroteIn({ where: marked, text: short(is.remark) });
  });

const inPictures: InWords = (before, after) =>
  changed<OwnPicture>(things(before), things(after)).map(([, was, is]) => {
    if (is === undefined) return m.heard_tookPicture();
    if (was === undefined) return m.heard_putPicture();
    return was.caption === is.caption ? m.heard_movedPicture() : m.heard_wroteUnder({ text: short(is.caption ?? '') });
  });

const inWords: Partial<Record<Block['kind'], InWords>> = {
  each: inText,
  together: inText,
  number: (_, after) => [after === '' ? m.heard_tookWords() : m.heard_wrote({ text: after })],
  ticks: inLines((line) => m.heard_ticked({ line })),
  choose: inLines((option) => m.heard_chose({ option })),
  sort: inCards,
  table: inCells,
  mend: inSentences,
  markUp: inMarks,
  ownPictures: inPictures,
};

/** What has become of a place, told to somebody who cannot see it: one short sentence for each change. */
export function changeInWords(block: Block, before: string, after: string): string[] {
  const { items, heads, passage } = block.settings;
  const names: Names = {
    item: (id) => items.find((one) => one.id === id)?.text ?? '',
    head: (id) => heads.find((one) => one.id === id)?.text ?? '',
    number: (id) => items.findIndex((one) => one.id === id) + 1,
    passage,
  };
  return inWords[block.kind]?.(before, after, names) ?? [];
}
