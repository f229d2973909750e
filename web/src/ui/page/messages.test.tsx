import { act, fireEvent, renderHook, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem } from '../../api/problem';
import { MessagesProvider, useMessages } from './messages';

describe('messages', () => {
  const show = () => renderHook(() => useMessages(), { wrapper: MessagesProvider }).result.current;
  beforeEach(() => {
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('are said, and go away by themselves', () => {
    const { say } = show();
    act(() => say('Saved.'));
    expect(screen.getByRole('status')).toHaveTextContent('Saved.');
    act(() => {
      vi.advanceTimersByTime(8_000);
    });
    expect(screen.getByRole('status')).toBeEmptyDOMElement();
  });

  it('can be undone once', () => {
    const { say } = show();
    const undo = vi.fn();
    act(() => say('Ada was removed from the list.', undo));
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(undo).toHaveBeenCalledOnce();
    expect(screen.queryByText('Ada was removed from the list.')).not.toBeInTheDocument();
  });

  it('are three at most, and never the same twice', () => {
    const { say } = show();
    act(() => {
      for (const text of ['one', 'two', 'two', 'three', 'four']) say(text);
    });
    expect([...screen.getByRole('status').children].map((one) => one.textContent)).toEqual(['two', 'three', 'four']);
  });

  it('of what went wrong are in the server’s words, or ours where there are none', () => {
    const { fail } = show();
    act(() => fail(new ApiProblem(409, 'This table is full.')));
    expect(screen.getByText('This table is full.')).toBeInTheDocument();
    act(() => fail(new TypeError('x is undefined')));
    expect(screen.getByText(/That didn’t work/)).toBeInTheDocument();
    expect(screen.queryByText(/undefined/)).not.toBeInTheDocument();
  });
});
