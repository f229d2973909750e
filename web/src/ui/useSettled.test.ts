import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useSettled } from './useSettled';

describe('a button that changes under the hand', () => {
  beforeEach(() => {
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('is open at once when it is first shown, and for a second not when it has changed', () => {
    const { result, rerender } = renderHook(({ what }) => useSettled(what), { initialProps: { what: 'copies' } });
    expect(result.current).toBe(true);
    rerender({ what: 'send' });
    act(() => void vi.advanceTimersByTime(350));
    expect(result.current).toBe(false);
    act(() => void vi.advanceTimersByTime(700));
    expect(result.current).toBe(true);
  });

  it('begins its second anew with each change', () => {
    const { result, rerender } = renderHook(({ what }) => useSettled(what), { initialProps: { what: 'rooms' } });
    rerender({ what: 'copies' });
    act(() => void vi.advanceTimersByTime(800));
    rerender({ what: 'send' });
    act(() => void vi.advanceTimersByTime(800));
    expect(result.current).toBe(false);
  });
});
