import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { MessagesProvider } from '../../ui/page/messages';
import { useSending } from './useSendingLine';

type Ask = () => Promise<unknown>;
const get = vi.hoisted(() => vi.fn<Ask>());
const put = vi.hoisted(() => vi.fn<Ask>());
vi.mock('../../api/client', () => ({ api: { GET: get, PUT: put }, take: (answer: unknown) => answer }));

type Lesson = Parameters<typeof useSending>[0];
const lesson = (digest: string) => ({ id: 'l', round: { id: 'r' }, setUpList: { digest }, setUp: null }) as Lesson;

describe('what is sent', () => {
  it('stays chosen while the set-up list that changes with it is asked for', async () => {
    get.mockResolvedValueOnce({ posts: false }).mockReturnValue(new Promise(() => undefined));
    put.mockResolvedValue({ posts: true });
    const client = new QueryClient();
    const { result, rerender } = renderHook(({ digest }) => useSending(lesson(digest)), {
      initialProps: { digest: 'a' },
      wrapper: ({ children }: { children: ReactNode }) => (
        <QueryClientProvider client={client}>
          <MessagesProvider>{children}</MessagesProvider>
        </QueryClientProvider>
      ),
    });
    await waitFor(() => expect(result.current.sending.data).toEqual({ posts: false }));
    act(() => result.current.save.mutate({ posts: true }));
    rerender({ digest: 'b' });
    await waitFor(() => expect(result.current.sending.data).toEqual({ posts: true }));
    rerender({ digest: 'c' });
    expect(result.current.sending.data).toEqual({ posts: true });
  });
});
