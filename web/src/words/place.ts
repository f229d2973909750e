import { takeTexts } from './written';

/** How dates are written, and by which clock, where the teacher is. */
export interface Place {
  /** For example “en-GB”. */
  locale: string;
  /** For example “Europe/London”. */
  zone: string;
}

/** Only where the server renders a page: whose page it is. */
let rendered: (Place & { language: string }) | undefined;

/** @param language of the page */
export function setPlace(place: Place, language: string): void {
  rendered = { ...place, language };
}

/** The language of the page; English as it is written in Britain. */
export function pageLanguage(): string {
  const language = rendered?.language ?? (typeof document === 'undefined' ? '' : document.documentElement.lang);
  return language === 'en' || language === '' ? 'en-GB' : language;
}

/** @returns undefined: the browser's own */
export const locale = (): string | undefined => rendered?.locale;

const name = 'place';
const aYear = 365 * 24 * 3_600;

/** Whether the cookie is set. It may be out of date, for example after a journey. */
export const isPlaceKept = (): boolean => document.cookie.includes(`${name}=`);

/** Sets a cookie, so that the server can render the next page as this browser would. */
export function keepPlace(): void {
  const { locale: own, timeZone } = new Intl.DateTimeFormat().resolvedOptions();
  const cookie = `${name}=${encodeURIComponent(`${own} ${timeZone}`)}`;
  // After a journey: what this page's first view was written for is not where the teacher is.
  if (!document.cookie.includes(cookie)) takeTexts({});
  document.cookie = `${cookie}; path=/; max-age=${aYear}; samesite=lax`;
}

/** @returns null if the cookie is missing or invalid */
export function placeIn(cookies: string): Place | null {
  const [, value] = new RegExp(`(?:^|; *)${name}=([^;]*)`).exec(cookies) ?? [];
  if (value === undefined) return null;
  try {
    const [own = '', zone = ''] = decodeURIComponent(value).split(' ');
    const known = new Intl.DateTimeFormat(own, { timeZone: zone }).resolvedOptions();
    return { locale: known.locale, zone: known.timeZone };
  } catch {
    return null;
  }
}
