import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { MessagesProvider } from '../../../ui/page/messages';
import type { Desk } from './useDesk';
import { Variants } from './Variants';

type Ask = (path: string, options: object) => Promise<unknown>;
const post = vi.hoisted(() => vi.fn<Ask>());
const remove = vi.hoisted(() => vi.fn<Ask>());
vi.mock('../../../api/client', () => ({ api: { POST: post, DELETE: remove }, take: (answer: unknown) => answer }));

const variant = {
  id: 'v1',
  name: 'Version 1',
  groups: [{ name: 'Quayside', students: ['ben'] }],
  goals: [{ met: 0.25, unit: 'groups', count: 1, of: 4, obstacle: '', summary: '' }],
};
const desk = {
  id: 'g',
  floor: { groups: [{ id: 'q', name: 'Quayside', students: ['ada'] }] },
  standings: { goals: [{ met: 1, unit: 'groups', count: 6, of: 6, obstacle: '', summary: '' }] },
  settings: { goals: [{ kind: 'newPartners' }] },
  variants: [variant],
} as unknown as Desk;

function show(of = desk) {
  const does = { onClose: vi.fn(), onUse: vi.fn() };
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MessagesProvider>
        <Variants desk={of} open nameOf={(id) => id.toUpperCase()} {...does} />
      </MessagesProvider>
    </QueryClientProvider>,
  );
  return does;
}

describe('variants', () => {
  beforeEach(() => {
    post.mockReset();
    remove.mockReset();
    post.mockResolvedValue(undefined);
    remove.mockResolvedValue(undefined);
  });

  it('stand beside what is on the floor, each with how far the goals are met', () => {
    show();
    const columns = within(screen.getByRole('list', { name: 'Compare' }));
    expect(columns.getByRole('meter', { name: 'Current groups: New partners' })).toHaveAttribute(
      'aria-valuenow',
      '100',
    );
    expect(columns.getByRole('meter', { name: 'Version 1: New partners' })).toHaveAttribute('aria-valuenow', '25');
    expect(columns.getByText('ADA')).toBeInTheDocument();
    expect(columns.getByText('BEN')).toBeInTheDocument();
  });

  it('are taken up, thrown away, and laid aside under the next name', async () => {
    const does = show();
    fireEvent.click(screen.getByRole('button', { name: 'Use this version' }));
    expect(does.onUse).toHaveBeenCalledExactlyOnceWith(variant);
    expect(does.onClose).toHaveBeenCalledOnce();
    fireEvent.click(screen.getByRole('button', { name: 'Delete' }));
    await waitFor(() => expect(remove).toHaveBeenCalledOnce());
    fireEvent.click(screen.getByRole('button', { name: 'Save this version' }));
    await waitFor(() => expect(post.mock.calls[0]?.[1]).toMatchObject({ body: { name: 'Version 2' } }));
  });

  it('an empty floor is nothing to lay aside', () => {
    show({ ...desk, floor: { ...desk.floor, groups: [] } });
    expect(screen.getByRole('button', { name: 'Save this version' })).toBeDisabled();
  });
});
