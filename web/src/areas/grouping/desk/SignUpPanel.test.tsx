import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { MessagesProvider } from '../../../ui/page/messages';
import { SignUpPanel } from './SignUpPanel';
import type { Desk } from './useDesk';

type Ask = (path: string, options: object) => Promise<unknown>;
const post = vi.hoisted(() => vi.fn<Ask>());
const remove = vi.hoisted(() => vi.fn<Ask>());
vi.mock('../../../api/client', () => ({ api: { POST: post, DELETE: remove }, take: (answer: unknown) => answer }));

function show(groups: string[][], signUp: Desk['signUp'] = null) {
  const desk = {
    id: 'g',
    signUp,
    floor: { groups: groups.map((students, i) => ({ id: String(i), name: `Group ${i + 1}`, students })) },
  } as unknown as Desk;
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MessagesProvider>
        <SignUpPanel desk={desk} present={9} />
      </MessagesProvider>
    </QueryClientProvider>,
  );
}

describe('a sign-up', () => {
  beforeEach(() => {
    post.mockReset();
    remove.mockReset();
    post.mockResolvedValue({});
    remove.mockResolvedValue({});
  });

  it('needs tables to sit down at', () => {
    show([]);
    expect(screen.getByRole('button', { name: 'Open sign-up for 9 students' })).toBeDisabled();
  });

  it('starts with a seat for everybody, and closes when she says unless she sets a time', async () => {
    show([[], []]);
    expect(screen.getByLabelText('Seats in each group')).toHaveValue(5);
    fireEvent.click(screen.getByRole('button', { name: 'Open sign-up for 9 students' }));
    await waitFor(() => expect(post.mock.calls[0]?.[1]).toMatchObject({ body: { seats: 5, minutes: null } }));
  });

  it('can be for fewer, and for a time', async () => {
    show([[], []]);
    fireEvent.change(screen.getByLabelText('Seats in each group'), { target: { value: '4' } });
    fireEvent.change(screen.getByLabelText('Close automatically after (minutes)'), { target: { value: '10' } });
    fireEvent.click(screen.getByRole('button', { name: 'Open sign-up for 9 students' }));
    await waitFor(() => expect(post.mock.calls[0]?.[1]).toMatchObject({ body: { seats: 4, minutes: 10 } }));
  });

  it('shows how many have a seat while it runs, and is closed with one press', async () => {
    show([['a', 'b'], ['c']], { seats: 5, closesAt: null });
    expect(screen.getByText('3 of 9 students have chosen a seat')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Close sign-up and place the rest' }));
    await waitFor(() => expect(remove).toHaveBeenCalledOnce());
  });
});
