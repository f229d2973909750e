/** Spaces that people write between thousands. */
const spaces = /[\s\u00a0\u2009\u202f]/gu;
const form = /^(-?)0*(\d{1,12})(?:\.(\d*))?$/u;
const mostDecimals = 6;

/**
 * A number as it is typed anywhere, in the one form in which it is kept: “−3,50” is “-3.5”.
 *
 * @returns '' where nothing is typed; null: that is no number, or could be two (1,200 is 1200 here and 1.2 there)
 */
export function keptNumber(typed: string): string | null {
  const text = typed.replace(spaces, '').replace('−', '-');
  if (text === '') return '';
  if (/,\d{3}$/u.test(text)) return null;
  const [, sign = '', whole = '', decimals = ''] = form.exec(text.replace(',', '.')) ?? [];
  if (whole === '' || decimals.length > mostDecimals) return null;
  const rest = decimals.replace(/0+$/u, '');
  if (whole === '0' && rest === '') return '0';
  return `${sign}${whole}${rest === '' ? '' : `.${rest}`}`;
}

/** @returns the middle one, or half-way between the two in the middle; NaN of none */
export function median(numbers: number[]): number {
  const sorted = [...numbers].sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  const [below = NaN, above = NaN] = [sorted[middle - 1 + (sorted.length % 2)], sorted[middle]];
  return (below + above) / 2;
}
