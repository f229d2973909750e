import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { MessagesProvider } from '../../ui/page/messages';
import { RuleList, ruleText } from './RuleList';
import { choose, find } from '../../ui/fields/choose.testing';

const post = vi.hoisted(() => vi.fn());
const remove = vi.hoisted(() => vi.fn());
vi.mock('../../api/client', () => ({ api: { POST: post, DELETE: remove }, take: (answer: unknown) => answer }));

const students = ['Ada', 'Ben', 'Chi'].map((name) => ({ id: name.toLowerCase(), name }));
const rule = { id: 'r', kind: 'apart' as const, students: ['ada', 'ben'] };

function show(broken: string[] = []) {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MessagesProvider>
        <RuleList classId="c" rules={[rule]} students={students} broken={broken} onChange={() => undefined} />
      </MessagesProvider>
    </QueryClientProvider>,
  );
}

describe('musts', () => {
  beforeEach(() => {
    post.mockReset();
    remove.mockReset();
    post.mockResolvedValue(rule);
    remove.mockResolvedValue(undefined);
  });

  it('are said in words', () => {
    expect(ruleText({ kind: 'together', students: ['ada', 'ben', 'chi'] }, (id) => id)).toBe(
      'ada, ben and chi together',
    );
  });

  it('a wish is said as a wish: one student, and those it would like to be with', () => {
    expect(ruleText({ kind: 'wish', students: ['ada', 'ben', 'chi'] }, (id) => id)).toBe(
      'ada would like to be with ben or chi',
    );
  });

  it('are made of two or more who are chosen by name, each once', async () => {
    show();
    expect(screen.getByRole('button', { name: 'Add rule' })).toBeDisabled();
    await find('Student 1', 'Ada');
    fireEvent.change(screen.getByLabelText('Student 2'), { target: { value: 'a' } });
    expect(screen.queryByRole('option', { name: 'Ada' })).toBeNull();
    await find('Student 2', 'Chi');
    await choose('Kind of rule', 'together');
    fireEvent.click(screen.getByRole('button', { name: 'Add rule' }));
    await waitFor(() => expect(post).toHaveBeenCalledOnce());
    expect(post.mock.calls[0]?.[1]).toMatchObject({ body: { kind: 'together', students: ['ada', 'chi'] } });
  });

  it('are lifted at once, with Undo', async () => {
    show(['r']);
    expect(screen.getByText('Rule broken')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Remove: Ada and Ben apart' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(post).toHaveBeenCalledOnce());
    expect(post.mock.calls[0]?.[1]).toMatchObject({ body: { kind: 'apart', students: ['ada', 'ben'] } });
  });
});
