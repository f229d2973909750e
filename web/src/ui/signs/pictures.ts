import marks from '../../../../core/data/marks.json';
import { pictures } from '../../../../core/data/pictures.json';

/** The picture by which a student who cannot read yet knows themselves; the same stands on their printed slip. */
export function pictureOf(number: number): { name: string; path: string; colour: string } {
  const { name, path } = pictures[number % pictures.length] ?? { name: '', path: '' };
  const colour = marks.colours[(number + Math.floor(number / pictures.length)) % marks.colours.length] ?? '';
  return { name, path, colour };
}
