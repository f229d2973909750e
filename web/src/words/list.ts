const kinds = { and: 'conjunction', or: 'disjunction' } as const;
/** In the language of the page; English as it is written in Britain. */
const language =
  typeof document === 'undefined' || document.documentElement.lang === 'en' ? 'en-GB' : document.documentElement.lang;
const listing = new Map<string, Intl.ListFormat>();

/** “Ada, Ben and Chi”, or “Ada, Ben or Chi”. */
export function list(names: string[], last: keyof typeof kinds = 'and'): string {
  const how = listing.get(last) ?? new Intl.ListFormat(language || 'en-GB', { style: 'long', type: kinds[last] });
  listing.set(last, how);
  return how.format(names);
}
