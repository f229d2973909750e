import { act, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useShown } from './useShown';

let tell: (ratio: number) => void;

class Observer {
  constructor(heard: (entries: { intersectionRatio: number; intersectionRect: { height: number } }[]) => void) {
    tell = (ratio) => act(() => heard([{ intersectionRatio: ratio, intersectionRect: { height: 10 } }]));
  }
  observe() {
    return undefined;
  }
  disconnect() {
    return undefined;
  }
}

function Note() {
  const [ref, shown] = useShown();
  return <p ref={ref}>{shown ? 'seen' : 'not yet'}</p>;
}

describe('what has been shown', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal('IntersectionObserver', Observer);
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('is what was in view for a moment, and nothing below the fold', () => {
    render(<Note />);
    act(() => void vi.advanceTimersByTime(10_000));
    expect(screen.getByText('not yet')).toBeTruthy();
    tell(0.9);
    act(() => void vi.advanceTimersByTime(900));
    tell(0);
    act(() => void vi.advanceTimersByTime(5_000));
    expect(screen.getByText('not yet')).toBeTruthy();
    tell(0.7);
    act(() => void vi.advanceTimersByTime(1_100));
    expect(screen.getByText('seen')).toBeTruthy();
  });

  it('is nothing on a page in a pocket', () => {
    const visible = vi.spyOn(document, 'visibilityState', 'get').mockReturnValue('hidden');
    render(<Note />);
    tell(1);
    act(() => void vi.advanceTimersByTime(10_000));
    expect(screen.getByText('not yet')).toBeTruthy();
    visible.mockReturnValue('visible');
    act(() => void document.dispatchEvent(new Event('visibilitychange')));
    act(() => void vi.advanceTimersByTime(1_100));
    expect(screen.getByText('seen')).toBeTruthy();
  });
});
