import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schema } from '../../../api/client';
import { MessagesProvider } from '../../../ui/page/messages';
import { RepairBar } from './RepairBar';

const post = vi.hoisted(() => vi.fn<(path: string, options: object) => Promise<unknown>>());
vi.mock('../../../api/client', () => ({ api: { POST: post }, take: (answer: unknown) => answer }));

const round: Schema['ProposedRound'] = {
  name: '',
  groups: [{ id: 'q', name: 'Quayside', students: ['ada', 'late', 'eve'] }],
};

function show() {
  const onTake = vi.fn();
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MessagesProvider>
        <RepairBar groupingId="g" away={2} late={1} nameOf={(id) => id.toUpperCase()} onTake={onTake} />
      </MessagesProvider>
    </QueryClientProvider>,
  );
  fireEvent.click(screen.getByRole('button', { name: 'Fix the groups' }));
  return onTake;
}

describe('absent and late', () => {
  beforeEach(() => post.mockReset());

  it('the moves are shown before they happen', async () => {
    post.mockResolvedValue({
      round,
      leaving: ['ben', 'chi'],
      arrivals: [{ student: 'late', from: null, to: 'Quayside', because: '' }],
      moves: [{ student: 'eve', from: 'Millbrook', to: 'Quayside', because: 'Millbrook would be one.' }],
      conflicts: [],
    });
    const onTake = show();
    expect(screen.getByText(/2 students in groups are absent, 1 student is not in a group/)).toBeInTheDocument();
    const sheet = within(await screen.findByRole('dialog', { name: 'Suggested changes' }));
    expect(sheet.getByText('BEN, CHI')).toBeInTheDocument();
    expect(sheet.getByText('LATE: Quayside')).toBeInTheDocument();
    expect(sheet.getByText('1 student changes groups:')).toBeInTheDocument();
    expect(sheet.getByText(/EVE: Millbrook → Quayside/)).toHaveTextContent('Millbrook would be one.');
    expect(onTake).not.toHaveBeenCalled();
    fireEvent.click(sheet.getByRole('button', { name: 'Apply changes' }));
    expect(onTake).toHaveBeenCalledExactlyOnceWith(round);
    expect(screen.queryByRole('dialog')).not.toBeInTheDocument();
  });

  it('where there is no way, why is said and nothing can be done by mistake', async () => {
    post.mockResolvedValue({
      round: null,
      leaving: [],
      arrivals: [],
      moves: [],
      conflicts: [{ rules: ['r'], message: 'Ada and Ben apart: there is one group.' }],
    });
    show();
    expect(await screen.findByText('Ada and Ben apart: there is one group.')).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: 'Apply changes' })).not.toBeInTheDocument();
  });
});
