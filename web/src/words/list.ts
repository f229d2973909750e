// Lists of names as the language writes them.
import { pageLanguage } from './place';
import { written } from './written';

const kinds = { and: 'conjunction', or: 'disjunction' } as const;
const listing = new Map<string, Intl.ListFormat>();

/** “Ada, Ben and Chi”, or “Ada, Ben or Chi”. */
export function list(names: string[], last: keyof typeof kinds = 'and'): string {
  if (names.length < 2) return names[0] ?? '';
  return written(JSON.stringify([last, ...names]), () => {
    const how = listing.get(last) ?? new Intl.ListFormat(pageLanguage(), { style: 'long', type: kinds[last] });
    listing.set(last, how);
    return how.format(names);
  });
}
