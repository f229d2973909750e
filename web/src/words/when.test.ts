import { describe, expect, it } from 'vitest';
import { setPlace } from './place';
import { dayOf, forgetFormats, forInput, fromInput, soon, timeText } from './when';
import { collectTexts } from './written';

describe('dates of lessons', () => {
  it('a moment comes back from its field as it was, to the minute', () => {
    for (const at of [Date.UTC(2026, 0, 1, 0, 5), Date.UTC(2026, 2, 29, 1, 30), Date.UTC(2027, 9, 31, 23, 59)])
      expect(fromInput(forInput(at))).toBe(at);
    expect(fromInput('')).toBeNull();
  });

  it('the whole day is one day', () => {
    const noon = new Date(2026, 10, 25, 12).getTime();
    expect(dayOf(noon)).toBe(dayOf(new Date(2026, 10, 25, 23, 59).getTime()));
    expect(dayOf(noon)).not.toBe(dayOf(new Date(2026, 10, 26).getTime()));
  });

  it('soon is the next full five minutes', () => {
    expect(soon(Date.UTC(2026, 0, 1, 10, 1))).toBe(Date.UTC(2026, 0, 1, 10, 5));
    expect(soon(Date.UTC(2026, 0, 1, 10, 5))).toBe(Date.UTC(2026, 0, 1, 10, 5));
  });

  it('one page after the other is written for its own place, as where the server renders them', () => {
    const noon = Date.UTC(2026, 0, 1, 12);
    const zone = process.env.TZ;
    const own = new Intl.DateTimeFormat().resolvedOptions();
    const at = (locale: string, place: string) => {
      process.env.TZ = place;
      setPlace({ locale, zone: place }, 'en');
      forgetFormats();
      collectTexts();
      return timeText(noon);
    };
    expect([at('en-GB', 'UTC'), at('en-GB', 'Asia/Tokyo'), at('en-US', 'UTC')]).toEqual(['12:00', '21:00', '12:00 PM']);
    if (zone === undefined) delete process.env.TZ;
    else process.env.TZ = zone;
    setPlace({ locale: own.locale, zone: own.timeZone }, 'en');
    forgetFormats();
  });
});
