/** Words both front doors use. Another language is another folder of the same shape. */
const plural = new Intl.PluralRules('en');

/** “1 student”, “2 students”. */
export function count(n: number, one: string, many: string): string {
  return `${n} ${plural.select(n) === 'one' ? one : many}`;
}

const listing = {
  and: new Intl.ListFormat('en-GB', { style: 'long', type: 'conjunction' }),
  or: new Intl.ListFormat('en-GB', { style: 'long', type: 'disjunction' }),
};

/** “Ada, Ben and Chi”, or “Ada, Ben or Chi”. */
export function list(names: string[], last: keyof typeof listing = 'and'): string {
  return listing[last].format(names);
}

/** Units of a length of time, as they stand behind a number. */
export const units = { hours: 'h', minutes: 'min', seconds: 's' };

export const common = {
  product: 'Fresh Huddle',
  offline: 'No answer from the server. Your line may be down.',
  broken: 'This did not work. Nothing that was shown as saved is lost.',
};
