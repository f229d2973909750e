import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem } from '../../../api/problem';
import SignUp from './SignUp';

const post = vi.hoisted(() => vi.fn<(path: string, options: { body: { table: string } }) => Promise<unknown>>());
vi.mock('../../../api/client', () => ({ api: { POST: post }, take: (answer: unknown) => answer }));

const table = (name: string, taken: number, mine = false) => ({ id: name, name, mark: 0, seats: 4, taken, mine });

describe('taking a seat', () => {
  beforeEach(() => {
    post.mockReset();
  });

  it('shows what is left and lets nobody into a full table', () => {
    render(
      <SignUp
        signUp={{ tables: [table('Quayside', 3), table('Millbrook', 4)], closesAt: null }}
        serverNow={0}
        onLook={() => undefined}
      />,
    );
    expect(screen.getByRole('heading')).toHaveTextContent('Choose a seat');
    expect(screen.getByRole('button', { name: 'Join Quayside, 1 seat left' })).toBeEnabled();
    expect(screen.getByRole('button', { name: 'Join Millbrook, full' })).toBeDisabled();
  });

  it('takes the seat and looks again', async () => {
    post.mockResolvedValue({});
    const onLook = vi.fn();
    render(<SignUp signUp={{ tables: [table('Quayside', 0)], closesAt: null }} serverNow={0} onLook={onLook} />);
    fireEvent.click(screen.getByRole('button'));
    await waitFor(() => expect(onLook).toHaveBeenCalledOnce());
    expect(post.mock.calls[0]?.[1].body.table).toBe('Quayside');
  });

  it('says the server’s word where the seat is not to be had, and nothing of why', async () => {
    post.mockRejectedValue(new ApiProblem(409, 'This group is now full. Choose another.', []));
    render(
      <SignUp signUp={{ tables: [table('Quayside', 1)], closesAt: null }} serverNow={0} onLook={() => undefined} />,
    );
    fireEvent.click(screen.getByRole('button'));
    expect(await screen.findByText('This group is now full. Choose another.')).toBeInTheDocument();
  });

  it('says where one sits, that one may change, and how long', () => {
    render(
      <SignUp
        signUp={{ tables: [table('Quayside', 1, true), table('Millbrook', 0)], closesAt: 90_000 }}
        serverNow={0}
        onLook={() => undefined}
      />,
    );
    expect(screen.getByRole('heading')).toHaveTextContent('You’re in Quayside.');
    expect(screen.getByRole('status')).toHaveTextContent('1 min 30 s');
    expect(screen.getByRole('button', { name: /Join Quayside/ })).toHaveAttribute('aria-pressed', 'true');
    expect(screen.getByRole('button', { name: /Join Millbrook/ })).toBeEnabled();
  });
});
