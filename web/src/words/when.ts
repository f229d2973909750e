import { locale } from './place';
import { written } from './written';

/** Made when they are first needed: on a slow device each takes a tenth of a second. */
let formats: Record<string, Intl.DateTimeFormat> = {};

/** Where the server renders: the next page may be for another place. */
export function forgetFormats(): void {
  formats = {};
}

const formatting =
  (name: string, how: Intl.DateTimeFormatOptions) =>
  (at: number): string =>
    written(`${name} ${at}`, () => (formats[name] ??= new Intl.DateTimeFormat(locale(), how)).format(at));

export const dayText = formatting('day', { weekday: 'short', day: 'numeric', month: 'short' });
export const dateText = formatting('date', { dateStyle: 'medium' });
export const momentText = formatting('moment', { dateStyle: 'medium', timeStyle: 'short' });
export const timeText = formatting('time', { hour: '2-digit', minute: '2-digit' });

/** “Tue 24 Nov, 10:20”, as it is written where the teacher is. */
export function whenText(at: number): string {
  return `${dayText(at)}, ${timeText(at)}`;
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
