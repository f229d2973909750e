import { heard as words } from '../../../words/heard';
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
      if (fresh !== '') return [words.wrote(fresh)];
      return pieces.some((piece) => piece.kind === 'gone' && piece.text.trim() !== '') ? [words.tookWords] : [];
    }
    case 'ticks':
    case 'choose': {
      const verb = block.kind === 'ticks' ? words.ticked : words.chose;
      return changed<boolean>(things(before), things(after)).map(([name, , is]) =>
        is === true ? verb(item(name)) : words.unticked(item(name)),
      );
    }
    case 'sort':
      return changed<Card>(things(before), things(after)).flatMap(([name, was, is]) => {
        const card = is?.text ?? was?.text ?? item(name);
        if (is === undefined) return [words.tookAway(card)];
        if (was?.under !== is.under)
          return [is.under === '' ? words.backToCards(card) : words.putUnder(card, head(is.under))];
        return was.text === is.text ? [words.movedIn(card, head(is.under))] : [words.wrote(card)];
      });
    case 'table':
      return changed<string | number>(things(before), things(after)).flatMap(([name, , is]) => {
        const [row = '', column] = name.split('|');
        if (column === undefined) return is === undefined ? [] : [words.addedRow];
        const where = item(row) === '' ? head(column) : words.cell(item(row), head(column));
        return [is === undefined || is === '' ? words.emptied(where) : words.wroteIn(where, short(String(is)))];
      });
    case 'mend':
      return changed<string>(things(before), things(after)).map(([name, , is]) => {
        const where = words.sentence(items.findIndex((one) => one.id === name) + 1);
        return is === undefined || is === '' ? words.emptied(where) : words.wroteIn(where, short(is));
      });
    case 'markUp':
      return changed<Mark>(things(before), things(after)).map(([, was, is]) => {
        if (is === undefined) return words.unmarked(short(passage.slice(was?.from, was?.to)));
        const marked = short(passage.slice(is.from, is.to));
        if (was === undefined || is.remark === undefined || was.remark === is.remark)
          return words.marked(marked, head(is.kind));
        return words.wroteIn(marked, short(is.remark));
      });
    case 'ownPictures':
      return changed<OwnPicture>(things(before), things(after)).map(([, was, is]) => {
        if (is === undefined) return words.tookPicture;
        if (was === undefined) return words.putPicture;
        return was.caption === is.caption ? words.movedPicture : words.wroteUnder(short(is.caption ?? ''));
      });
    default:
      return [];
  }
}
