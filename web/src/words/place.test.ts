import { describe, expect, it } from 'vitest';
import { keepPlace, placeIn } from './place';

describe('how dates are written where the teacher is', () => {
  it('is what her browser has told', () => {
    keepPlace();
    const { locale, timeZone } = new Intl.DateTimeFormat().resolvedOptions();
    expect(placeIn(`a=1; ${document.cookie}; b=2`)).toEqual({ locale, zone: timeZone });
  });

  it.each([
    '',
    'place=',
    'place=en-GB',
    'place=en-GB%20Nowhere%2FAtAll',
    'place=%F0%28',
    'place=1%20UTC',
    'myplace=en-GB%20UTC',
  ])('is not known from “%s”', (cookies) => expect(placeIn(cookies)).toBeNull());
});
