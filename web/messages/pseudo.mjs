// A made-up language from English: accents, 40 % longer, in brackets. Whatever stands on a page without them was not
// taken from the catalogue; whatever does not fit would not fit in a language that needs more room.
import { parse, TYPE } from '@formatjs/icu-messageformat-parser';

const accents = Object.fromEntries(
  [...'aàbƀcçdđeéfƒgĝhĥiîjĵkķlĺmɱnñoöpþrŕsštţuûvṽwŵxẋyýzž'].reduce((pairs, letter, i, all) => {
    if (i % 2 === 0) pairs.push([letter, all[i + 1]], [letter.toUpperCase(), all[i + 1].toUpperCase()]);
    return pairs;
  }, []),
);
const accented = (text) => text.replace(/[a-z]/gi, (letter) => accents[letter] ?? letter);

/** `⟦` text, 40 % longer `⟧`; what stands for a value and the names of choices stay. */
export function pseudoText(text) {
  const letters = text.replace(/\{[^]*\}/g, '').length;
  const filler = '~'.repeat(Math.ceil(letters * 0.4));
  return `⟦${print(parse(text, { captureLocation: false }))}${filler}⟧`;
}

function print(nodes) {
  return nodes
    .map((node) => {
      if (node.type === TYPE.literal)
        return accented(node.value).replace(/['{}#]/g, (sign) => (sign === "'" ? "''" : `'${sign}'`));
      if (node.type === TYPE.argument) return `{${node.value}}`;
      if (node.type === TYPE.pound) return '#';
      const kind = node.type === TYPE.select ? 'select' : 'plural';
      const options = Object.entries(node.options).map(([option, { value }]) => `${option} {${print(value)}}`);
      return `{${node.value}, ${kind}, ${options.join(' ')}}`;
    })
    .join('');
}

/** The same tree, each sentence made up. */
export function pseudo(tree) {
  return Object.fromEntries(
    Object.entries(tree).map(([key, value]) => [key, typeof value === 'string' ? pseudoText(value) : pseudo(value)]),
  );
}
