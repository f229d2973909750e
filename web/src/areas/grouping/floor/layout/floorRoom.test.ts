import { describe, expect, it } from 'vitest';
import { floorRoomIn, keepRoom, roomAtFirst } from './floorRoom';

describe('the room that tables have', () => {
  it('is what this browser last showed them in', () => {
    keepRoom({ width: 372.4, height: 600 });
    expect(floorRoomIn(`a=1; ${document.cookie}; b=2`)).toEqual({ width: 372, height: 600 });
  });

  it.each([
    '',
    'floor=',
    'floor=372',
    'floor=x600',
    'floor=-1x600',
    'floor=99999x600',
    'floor=372x600<',
    'myfloor=372x600',
  ])('is not known from “%s”', (cookies) => expect(floorRoomIn(cookies)).toBeNull());

  it('is at first what the server rendered the page for, or a usual one', () => {
    expect(roomAtFirst()).toEqual({ width: 900, height: 500 });
    document.documentElement.dataset.floor = '372x600';
    expect(roomAtFirst()).toEqual({ width: 372, height: 600 });
    delete document.documentElement.dataset.floor;
  });
});
