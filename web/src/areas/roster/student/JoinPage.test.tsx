import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem } from '../../../api/problem';
import { JoinPage } from './JoinPage';

const get = vi.hoisted(() => vi.fn<(path: string) => Promise<unknown>>());
const post = vi.hoisted(() => vi.fn<(path: string, options: { body: Record<string, unknown> }) => Promise<unknown>>());
vi.mock('../../../api/client', () => ({ api: { GET: get, POST: post }, take: (answer: unknown) => answer }));

const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

describe('the students’ door', () => {
  const door = { className: '9G', names: null as { id: string; name: string; taken: boolean }[] | null };
  const onJoined = vi.fn();
  const goToDoor = async () => {
    render(<JoinPage onJoined={onJoined} />);
    type('Join words', 'amber otter');
    press('Find my class');
    await screen.findByRole('heading', { name: '9G: who are you?' });
  };

  beforeEach(() => {
    door.names = null;
    onJoined.mockReset();
    post.mockReset();
    get.mockReset();
    get.mockImplementation((path) => Promise.resolve(path === '/api/student/door' ? { state: 'outside' } : door));
  });

  it('has room for the longest door word', () => {
    render(<JoinPage onJoined={() => undefined} />);
    expect(Number(screen.getByLabelText('Join words').getAttribute('maxlength'))).toBeGreaterThanOrEqual(30);
  });

  it('takes the door word, then the name as it is typed', async () => {
    post.mockResolvedValue({ state: 'in' });
    await goToDoor();
    type('Your name', 'ada lund');
    press('Join');
    await waitFor(() => expect(onJoined).toHaveBeenCalledOnce());
    expect(post.mock.calls[0]?.[1].body).toEqual({ doorWord: 'amber otter', name: 'ada lund', wait: false });
  });

  it('opens by the pass of a slip, and leaves it in nobody’s history', async () => {
    window.history.replaceState(null, '', '/student?pass=abc.def');
    post.mockResolvedValue({ state: 'in' });
    render(<JoinPage onJoined={onJoined} />);
    await waitFor(() => expect(onJoined).toHaveBeenCalledOnce());
    expect(post.mock.calls[0]?.[1].body).toMatchObject({ pass: 'abc.def' });
    expect(window.location.search).toBe('');
  });

  it('asks for the door word where a pass opens nothing any more', async () => {
    window.history.replaceState(null, '', '/student?pass=abc.def');
    post.mockRejectedValue(
      new ApiProblem(404, 'This slip no longer works.', [{ field: 'pass', message: 'This slip no longer works.' }]),
    );
    render(<JoinPage onJoined={onJoined} />);
    expect(await screen.findByText('This slip no longer works.')).toBeInTheDocument();
    expect(screen.getByLabelText('Join words')).toBeEnabled();
    window.history.replaceState(null, '', '/student');
  });

  it('says that a name is not found, keeps it, and offers to wait at the door', async () => {
    post.mockRejectedValueOnce(
      new ApiProblem(404, 'This name isn’t on the list.', [{ field: 'name', message: 'This name isn’t on the list.' }]),
    );
    post.mockResolvedValueOnce({ state: 'waiting' });
    await goToDoor();
    type('Your name', 'Beanie');
    press('Join');
    expect(await screen.findByText('This name isn’t on the list.')).toBeInTheDocument();
    expect(screen.getByLabelText('Your name')).toHaveValue('Beanie');
    press('Wait for my teacher to let me in');
    await waitFor(() => expect(screen.getByRole('heading', { name: 'Your teacher will let you in.' })).toBeVisible());
    expect(post.mock.calls[1]?.[1].body).toMatchObject({ name: 'Beanie', wait: true });
  });

  it('tries again by itself where many come in at once', async () => {
    post.mockRejectedValueOnce(new ApiProblem(429, 'Lots of people are joining.'));
    post.mockResolvedValueOnce({ state: 'in' });
    await goToDoor();
    type('Your name', 'Ada');
    press('Join');
    expect(await screen.findByText(/you’re next/)).toBeInTheDocument();
    await waitFor(() => expect(onJoined).toHaveBeenCalledOnce());
  });

  it('does not try again where too many names were wrong', async () => {
    const text = 'Too many names that aren’t on the list.';
    post.mockRejectedValue(new ApiProblem(429, text, [{ field: 'name', message: text }]));
    await goToDoor();
    type('Your name', 'Ada');
    press('Join');
    expect(await screen.findByText(text)).toBeInTheDocument();
    expect(post).toHaveBeenCalledOnce();
  });

  it('shows names to press where the teacher chose so; a taken one cannot be pressed', async () => {
    door.names = [
      { id: 'a', name: 'Ada Lund', taken: false },
      { id: 'b', name: 'Ben Oduya', taken: true },
    ];
    post.mockResolvedValue({ state: 'in' });
    await goToDoor();
    expect(screen.getByRole('button', { name: /Ben Oduya/ })).toBeDisabled();
    press('Ada Lund');
    await waitFor(() => expect(onJoined).toHaveBeenCalledOnce());
    expect(post.mock.calls[0]?.[1].body).toEqual({ doorWord: 'amber otter', student: 'a' });
  });

  it('goes on waiting after a reload, and goes in when the teacher has said who it is', async () => {
    let state = 'waiting';
    get.mockImplementation(() => Promise.resolve({ state }));
    render(<JoinPage onJoined={onJoined} />);
    expect(await screen.findByRole('heading', { name: /will let you in/ })).toBeVisible();
    state = 'in';
    await waitFor(() => expect(onJoined).toHaveBeenCalled());
  });
});
