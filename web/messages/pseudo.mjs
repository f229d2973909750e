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

const words = 'ôñé ţŵô ţĥŕéé ƒôûŕ ƒîṽé šîẋ šéṽéñ éîĝĥţ ñîñé ţéñ '.repeat(9);

/** `⟦` text, 40 % longer `⟧`; what stands for a value and the names of choices stay. */
export const pseudoText = (text) => `⟦${print(parse(text, { captureLocation: true }), text)}⟧`;

function print(nodes, source) {
  const letters = nodes.reduce((sum, node) => sum + (node.type === TYPE.literal ? node.value.trim().length : 0), 0);
  const more = words.slice(0, Math.round(letters * 0.4)).trim();
  const longer = more === '' ? '' : letters > 8 ? ` ${more}` : more;
  return nodes.map((node) => printNode(node, source)).join('') + longer;
}

function printNode(node, source) {
  if (node.type === TYPE.literal)
    return accented(node.value).replace(/['{}#]/g, (sign) => (sign === "'" ? "''" : `'${sign}'`));
  if (node.type === TYPE.argument) return `{${node.value}}`;
  if (node.type === TYPE.pound) return '#';
  if (node.type !== TYPE.select && node.type !== TYPE.plural)
    return source.slice(node.location.start.offset, node.location.end.offset);
  const kind = node.type === TYPE.select ? 'select' : 'plural';
  const options = Object.entries(node.options).map(([option, { value }]) => `${option} {${print(value, source)}}`);
  return `{${node.value}, ${kind}, ${options.join(' ')}}`;
}

/** The same tree, each sentence made up. */
export function pseudo(tree) {
  return Object.fromEntries(
    Object.entries(tree).map(([key, value]) => [key, typeof value === 'string' ? pseudoText(value) : pseudo(value)]),
  );
}
