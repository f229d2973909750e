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

/** What has become of a place, told to somebody who cannot see it: one short sentence for each change. */
export function changeInWords(block: Block, before: string, after: string): string[] {
  const { items, heads, passage } = block.settings;
  const item = (id: string) => items.find((one) => one.id === id)?.text ?? '';
  const head = (id: string) => heads.find((one) => one.id === id)?.text ?? '';
  switch (block.kind) {
    case 'each':
    case 'together': {
      const pieces = wordDiff(before, after);
      const fresh = short(
        pieces
          .filter((piece) => piece.kind === 'new')
          .map((piece) => piece.text)
          .join(' '),
      );
      if (fresh !== '') return [m.heard_wrote({ text: fresh })];
      return pieces.some((piece) => piece.kind === 'gone' && piece.text.trim() !== '') ? [m.heard_tookWords()] : [];
    }
    case 'number':
      return after === '' ? [m.heard_tookWords()] : [m.heard_wrote({ text: after })];
    case 'ticks':
    case 'choose': {
      const done = (text: string) =>
        block.kind === 'ticks' ? m.heard_ticked({ line: text }) : m.heard_chose({ option: text });
      return changed<boolean>(things(before), things(after)).map(([name, , is]) =>
        is === true ? done(item(name)) : m.heard_unticked({ line: item(name) }),
      );
    }
    case 'sort':
      return changed<Card>(things(before), things(after)).flatMap(([name, was, is]) => {
        const card = is?.text ?? was?.text ?? item(name);
        if (is === undefined) return [m.heard_tookAway({ card })];
        if (was?.under !== is.under)
          return [is.under === '' ? m.heard_backToCards({ card }) : m.heard_putUnder({ card, head: head(is.under) })];
        return was.text === is.text
          ? [m.heard_movedIn({ card, head: head(is.under) })]
          : [m.heard_wrote({ text: card })];
      });
    case 'table':
      return changed<string | number>(things(before), things(after)).flatMap(([name, , is]) => {
        const [row = '', column] = name.split('|');
        if (column === undefined) return is === undefined ? [] : [m.heard_addedRow()];
        const where = item(row) === '' ? head(column) : m.heard_cell({ row: item(row), column: head(column) });
        return [
          is === undefined || is === ''
            ? m.heard_emptied({ where })
            : m.heard_wroteIn({ where, text: short(String(is)) }),
        ];
      });
    case 'mend':
      return changed<string>(things(before), things(after)).map(([name, , is]) => {
        const where = m.heard_sentence({ n: items.findIndex((one) => one.id === name) + 1 });
        return is === undefined || is === '' ? m.heard_emptied({ where }) : m.heard_wroteIn({ where, text: short(is) });
      });
    case 'markUp':
      return changed<Mark>(things(before), things(after)).map(([, was, is]) => {
        if (is === undefined) return m.heard_unmarked({ text: short(passage.slice(was?.from, was?.to)) });
        const marked = short(passage.slice(is.from, is.to));
        if (was === undefined || is.remark === undefined || was.remark === is.remark)
          return m.heard_marked({ text: marked, kind: head(is.kind) });
        return m.heard_wroteIn({ where: marked, text: short(is.remark) });
      });
    case 'ownPictures':
      return changed<OwnPicture>(things(before), things(after)).map(([, was, is]) => {
        if (is === undefined) return m.heard_tookPicture();
        if (was === undefined) return m.heard_putPicture();
        return was.caption === is.caption
          ? m.heard_movedPicture()
          : m.heard_wroteUnder({ text: short(is.caption ?? '') });
      });
    default:
      return [];
  }
}
