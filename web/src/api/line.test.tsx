import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { followed, useLine } from './line';

describe('the line', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    act(() => followed()(true));
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('is said to be slow before three seconds are over, and to be good with the next answer', () => {
    const { result } = renderHook(useLine);
    const answer = followed();
    act(() => void vi.advanceTimersByTime(2_000));
    expect(result.current).toBe('good');
    act(() => void vi.advanceTimersByTime(900));
    expect(result.current).toBe('slow');
    act(() => answer(true));
    expect(result.current).toBe('good');
  });

  it('is down where there was no answer, and at once where the device knows it', () => {
    const { result } = renderHook(useLine);
    act(() => followed()(false));
    expect(result.current).toBe('down');
    act(() => followed()(true));
    act(() => void window.dispatchEvent(new Event('offline')));
    expect(result.current).toBe('down');
  });

  it('is not said to be slow for a request that was answered in time', () => {
    const { result } = renderHook(useLine);
    act(() => followed()(true));
    act(() => void vi.advanceTimersByTime(10_000));
    expect(result.current).toBe('good');
  });
});
