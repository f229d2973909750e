import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { choose } from '../../ui/fields/choose.testing';
import { MessagesProvider } from '../../ui/page/messages';
import { StaffList } from './StaffList';

type Ask = (path: string, options: object) => Promise<unknown>;
const get = vi.hoisted(() => vi.fn<Ask>());
const post = vi.hoisted(() => vi.fn<Ask>());
const remove = vi.hoisted(() => vi.fn<Ask>());
vi.mock('../../api/client', () => ({
  api: { GET: get, POST: post, DELETE: remove },
  take: (answer: unknown) => answer,
}));

const tomas = { teacher: 't', name: 'Tomas Brandt', role: 'coTeacher' };
const asked = { teacher: null, name: 'abel@larkmouth.example', role: 'assistant' };

function show(mayChange = true) {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MessagesProvider>
        <StaffList classId="c" mayChange={mayChange} />
      </MessagesProvider>
    </QueryClientProvider>,
  );
}

describe('who helps in a class', () => {
  beforeEach(() => {
    for (const one of [get, post, remove]) one.mockReset();
    get.mockResolvedValue([tomas]);
    post.mockResolvedValue([tomas, asked]);
    remove.mockResolvedValue([]);
  });

  it('is asked by mail, as an assistant unless something else is said', async () => {
    show();
    await screen.findByText('Tomas Brandt');
    fireEvent.click(screen.getByRole('button', { name: 'Invite' }));
    fireEvent.change(screen.getByLabelText('Email'), { target: { value: 'abel@larkmouth.example' } });
    fireEvent.click(screen.getByRole('button', { name: 'Send invitation' }));
    expect(await screen.findByText('assistant, invited')).toBeInTheDocument();
    expect(post.mock.calls[0]?.[1]).toMatchObject({ body: { email: 'abel@larkmouth.example', role: 'assistant' } });
    expect(screen.getByText('We’ve sent an invitation to abel@larkmouth.example.')).toBeInTheDocument();
  });

  it('may be asked to do everything', async () => {
    show();
    fireEvent.click(await screen.findByRole('button', { name: 'Invite' }));
    fireEvent.change(screen.getByLabelText('Email'), { target: { value: 'x@larkmouth.example' } });
    await choose('As', 'Co-teacher: can do everything');
    fireEvent.click(screen.getByRole('button', { name: 'Send invitation' }));
    await waitFor(() => expect(post).toHaveBeenCalledOnce());
    expect(post.mock.calls[0]?.[1]).toMatchObject({ body: { role: 'coTeacher' } });
  });

  it('helps no longer after one press', async () => {
    show();
    fireEvent.click(await screen.findByRole('button', { name: 'Tomas Brandt was removed' }));
    await waitFor(() => expect(screen.queryByText('Tomas Brandt')).toBeNull());
    expect(remove.mock.calls[0]?.[1]).toMatchObject({ params: { path: { id: 'c', who: 't' } } });
  });

  it('is not for assistants to change', async () => {
    show(false);
    await screen.findByText('Tomas Brandt');
    expect(screen.queryByRole('button')).toBeNull();
  });
});
