const day = new Intl.DateTimeFormat(undefined, { weekday: 'short', day: 'numeric', month: 'short' });
const time = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' });

export const dayText = (at: number) => day.format(at);
export const timeText = (at: number) => time.format(at);

/** “Tue 24 Nov, 10:20”, as it is written where the teacher is. */
export function whenText(at: number): string {
  return `${day.format(at)}, ${time.format(at)}`;
}

const two = (n: number) => String(n).padStart(2, '0');

/** A moment as a field for date and time holds it: on the clock of this place. */
export function forInput(at: number): string {
  const date = new Date(at);
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}T${two(date.getHours())}:${two(date.getMinutes())}`;
}

/** @returns null where no date stands in the field */
export function fromInput(text: string): number | null {
  const at = new Date(text).getTime();
  return Number.isNaN(at) ? null : at;
}

/** The first minute of the day a moment lies in, on the clock of this place. */
export function dayOf(at: number): number {
  const date = new Date(at);
  return new Date(date.getFullYear(), date.getMonth(), date.getDate()).getTime();
}

/** The next full five minutes. */
export function soon(now: number): number {
  return Math.ceil(now / 300_000) * 300_000;
}
