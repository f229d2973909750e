import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { untilThere } from './lazily';

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

it('asks again until the line is back', async () => {
  let asked = 0;
  const there = untilThere(() => (++asked < 4 ? Promise.reject(new Error('no line')) : Promise.resolve('part')));
  await vi.advanceTimersByTimeAsync(60_000);
  expect(await there).toBe('part');
  expect(asked).toBe(4);
});
