const listing = {
  and: new Intl.ListFormat('en-GB', { style: 'long', type: 'conjunction' }),
  or: new Intl.ListFormat('en-GB', { style: 'long', type: 'disjunction' }),
};

/** “Ada, Ben and Chi”, or “Ada, Ben or Chi”. */
export function list(names: string[], last: keyof typeof listing = 'and'): string {
  return listing[last].format(names);
}
