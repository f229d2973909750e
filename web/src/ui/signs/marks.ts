import marks from '../../../../core/data/marks.json';

/**
 * Colour and sign of a group. Twelve colours that stay apart for colour-blind eyes; the sign and the name always go
 * with them. Past the twelfth group the signs shift against the colours, so that 144 groups have marks of their own.
 * The same ones stand on the printed plan (Print\Marks in the application). Signs are drawn on a square of 24.
 */
export interface Mark {
  colour: string;
  sign: string;
  path: string;
}

const { colours, signs } = marks;

export function markOf(number: number): Mark {
  const { name, path } = signs[(number + Math.floor(number / signs.length)) % signs.length] ?? { name: '', path: '' };
  return { colour: colours[number % colours.length] ?? '', sign: name, path };
}
