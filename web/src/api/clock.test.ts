import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { serverNow, setServerNow } from './clock';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

it('a device whose clock is wrong tells the server’s time', () => {
  vi.setSystemTime(1_000_000);
  setServerNow(5_000_000);
  vi.advanceTimersByTime(30_000);
  expect(serverNow()).toBe(5_030_000);
});

it('and one whose clock jumps is put right by the next answer', () => {
  vi.setSystemTime(1_000_000);
  setServerNow(1_000_000);
  vi.setSystemTime(91_000_000); // somebody has set it
  setServerNow(1_001_000);
  expect(serverNow()).toBe(1_001_000);
  vi.advanceTimersByTime(500);
  expect(serverNow()).toBe(1_001_500);
});
