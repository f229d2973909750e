import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem } from '../../api/problem';
import { ForgottenPage, NewPasswordPage } from './Outside';

type Ask = (path: string, options: object) => Promise<unknown>;
const post = vi.hoisted(() => vi.fn<Ask>());
vi.mock('../../api/client', () => ({ api: { POST: post }, take: (answer: unknown) => answer }));

describe('the way back in', () => {
  beforeEach(() => post.mockReset());

  it('says the same whether there is an account or not', async () => {
    post.mockResolvedValue(undefined);
    render(<ForgottenPage />);
    fireEvent.change(screen.getByLabelText('Email'), { target: { value: 'ines@larkmouth.example' } });
    fireEvent.click(screen.getByRole('button', { name: 'Send me a link' }));
    expect(await screen.findByText(/If there’s an account with this email/)).toBeInTheDocument();
    expect(post.mock.calls[0]).toEqual(['/api/account/forgotten', { body: { email: 'ines@larkmouth.example' } }]);
  });

  it('sets a new password with the link, and says why where it cannot', async () => {
    post.mockRejectedValueOnce(
      new ApiProblem(422, 'This link has expired or has already been used. Ask for a new one.'),
    );
    post.mockResolvedValueOnce(undefined);
    render(
      <MemoryRouter initialEntries={['/password/abc.def']}>
        <Routes>
          <Route path="/password/:token" element={<NewPasswordPage />} />
        </Routes>
      </MemoryRouter>,
    );
    fireEvent.change(screen.getByLabelText('New password'), { target: { value: 'low-tide-at-six' } });
    fireEvent.click(screen.getByRole('button', { name: 'Change password' }));
    expect(await screen.findByText(/This link has expired or has already been used/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Change password' }));
    await waitFor(() => expect(screen.getByText(/Your password is set/)).toBeInTheDocument());
    expect(post.mock.calls[1]?.[1]).toEqual({ body: { token: 'abc.def', password: 'low-tide-at-six' } });
  });
});
