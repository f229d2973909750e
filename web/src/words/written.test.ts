import { afterEach, describe, expect, it, vi } from 'vitest';
import { collectTexts, takeTexts, written } from './written';

describe('texts the server has written', () => {
  afterEach(() => takeTexts({}));

  it('are taken over, and what writes them is left alone', () => {
    const write = vi.fn(() => 'Dec 3');
    takeTexts({ 'day 7': '3 Dec' });
    expect(written('day 7', write)).toBe('3 Dec');
    expect(write).not.toHaveBeenCalled();
    expect(written('day 8', write)).toBe('Dec 3');
  });

  it('are written here once they were written for another place', () => {
    takeTexts({ 'day 7': '3 Dec' });
    takeTexts({});
    expect(written('day 7', () => 'Dec 3')).toBe('Dec 3');
  });

  it('are those of one page, not of the page before', () => {
    const first = collectTexts();
    written('day 7', () => '3 Dec');
    const second = collectTexts();
    written('day 8', () => '4 Dec');
    expect([first, second]).toEqual([{ 'day 7': '3 Dec' }, { 'day 8': '4 Dec' }]);
  });
});
