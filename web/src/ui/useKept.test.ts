import { act, renderHook } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { useKept } from './useKept';

describe('what is typed and not sent', () => {
  beforeEach(() => localStorage.clear());

  it('is there after a reload, and gone when it has been sent', () => {
    const first = renderHook(() => useKept('notice:l1'));
    act(() => first.result.current[1]('Two minutes left.'));
    first.unmount();
    const second = renderHook(() => useKept('notice:l1'));
    expect(second.result.current[0]).toBe('Two minutes left.');
    act(() => second.result.current[2]());
    expect(second.result.current[0]).toBe('');
    expect(renderHook(() => useKept('notice:l1')).result.current[0]).toBe('');
  });

  it('is of one thing: another lesson has another notice', () => {
    const { result, rerender } = renderHook(({ of }) => useKept(of), { initialProps: { of: 'notice:l1' } });
    act(() => result.current[1]('Two minutes left.'));
    rerender({ of: 'notice:l2' });
    expect(result.current[0]).toBe('');
    rerender({ of: 'notice:l1' });
    expect(result.current[0]).toBe('Two minutes left.');
  });

  it('begins with what it is told, and keeps nothing that is no more than that', () => {
    const { result } = renderHook(() => useKept('minutes:c1', '50'));
    expect(result.current[0]).toBe('50');
    act(() => result.current[1]('45'));
    act(() => result.current[1]('50'));
    expect(localStorage.length).toBe(0);
  });
});
