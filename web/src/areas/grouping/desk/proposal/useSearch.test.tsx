import { act, renderHook, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { whole } from '../useDesk';
import { useSearch, type Proposal } from './useSearch';

function proposal(cost: number, more: Partial<Proposal> = {}): Proposal {
  return {
    seed: 1,
    rounds: [{ name: '', groups: [] }],
    unplaced: [],
    goals: [],
    cost,
    proven: false,
    repeats: 0,
    conflicts: [],
    notes: [],
    ...more,
  };
}

interface Asked {
  from: unknown;
  forMs: number;
}

const post = vi.hoisted(() => vi.fn<(path: string, options: { body: Asked }) => Promise<unknown>>());
vi.mock('../../../../api/client', () => ({ api: { POST: post }, take: (answer: unknown) => answer }));

/** A server that answers in turn, and remembers what it was asked. */
function server(answers: Proposal[]) {
  const asked: Asked[] = [];
  post.mockImplementation((_, { body }) => {
    asked.push(body);
    return Promise.resolve(answers[Math.min(asked.length, answers.length) - 1]);
  });
  return asked;
}

const balance = whole({ method: 'balance' });

describe('the search', () => {
  beforeEach(() => {
    post.mockReset();
  });

  it('shows the first answer at once and ends where nothing better is possible', async () => {
    const asked = server([proposal(9), proposal(4), proposal(0, { proven: true })]);
    const { result } = renderHook(() => useSearch('g'));
    act(() => result.current.start(balance));
    await waitFor(() => expect(result.current.proposal?.cost).toBe(0));
    await waitFor(() => expect(result.current.looking).toBe(false));
    expect(asked.map((one) => one.forMs)).toEqual([60, 400, 400]);
    expect(asked[0]?.from).toBeNull();
    expect(asked[1]?.from).toEqual([{ name: '', groups: [] }]);
  });

  it('keeps the best and never shows a worse one', async () => {
    server([proposal(5), proposal(7), proposal(3), proposal(3, { proven: true })]);
    const { result } = renderHook(() => useSearch('g'));
    const seen: (number | undefined)[] = [];
    act(() => result.current.start(balance));
    await waitFor(() => {
      seen.push(result.current.proposal?.cost);
      expect(result.current.looking).toBe(false);
    });
    expect(seen).not.toContain(7);
    expect(result.current.proposal?.cost).toBe(3);
  });

  it('asks once for a method that has nothing to improve', async () => {
    const asked = server([proposal(5)]);
    const { result } = renderHook(() => useSearch('g'));
    act(() => result.current.start(whole({ method: 'jigsaw' })));
    await waitFor(() => expect(result.current.looking).toBe(false));
    expect(asked).toHaveLength(1);
  });

  it('stops when told, with the best so far', async () => {
    server([proposal(5)]);
    const { result } = renderHook(() => useSearch('g'));
    act(() => result.current.start(balance));
    await waitFor(() => expect(result.current.proposal?.cost).toBe(5));
    act(() => result.current.stop());
    expect(result.current.looking).toBe(false);
    expect(result.current.proposal?.cost).toBe(5);
    act(() => result.current.drop());
    expect(result.current.proposal).toBeNull();
  });

  it('leaves what is done at once to whoever asked', async () => {
    server([proposal(5)]);
    const { result } = renderHook(() => useSearch('g'));
    const taken: Proposal[] = [];
    act(() =>
      result.current.start(whole({ method: 'deal' }), (found) => {
        taken.push(found);
        return true;
      }),
    );
    await waitFor(() => expect(result.current.looking).toBe(false));
    expect(taken).toHaveLength(1);
    expect(result.current.proposal).toBeNull();
  });

  it('does not go on where rules contradict each other', async () => {
    const asked = server([proposal(0, { rounds: [], conflicts: [{ rules: ['r'], message: 'No.' }] })]);
    const { result } = renderHook(() => useSearch('g'));
    act(() => result.current.start(balance));
    await waitFor(() => expect(result.current.looking).toBe(false));
    expect(asked).toHaveLength(1);
    expect(result.current.proposal?.conflicts[0]?.message).toBe('No.');
  });
});
