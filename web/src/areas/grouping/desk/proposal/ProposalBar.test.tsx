import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schema } from '../../../../api/client';
import { ConflictBar, ProposalBar } from './ProposalBar';
import type { Desk } from '../useDesk';
import type { Search } from './useSearch';

type Proposal = Schema['ProposalView'];
const round = (name: string): Proposal['rounds'][number] => ({
  name,
  groups: [{ id: null, name: 'Quayside', students: ['ada'] }],
});
const found: Proposal = {
  seed: 1,
  rounds: [round('')],
  unplaced: [],
  goals: [],
  cost: 1,
  proven: false,
  repeats: 0,
  conflicts: [],
  notes: [],
};

function show(proposal: Partial<Proposal> = {}, looking = false) {
  const does = { onRound: vi.fn(), onUse: vi.fn(), onAgain: vi.fn(), stop: vi.fn(), drop: vi.fn() };
  const search = { looking, stop: does.stop, drop: does.drop } as unknown as Search;
  render(
    <ProposalBar
      proposal={{ ...found, ...proposal }}
      search={search}
      round={0}
      onRound={does.onRound}
      onUse={does.onUse}
      onAgain={does.onAgain}
    />,
  );
  return does;
}

describe('a proposal', () => {
  it('is watched while it gets better, and stopped', () => {
    const does = show({}, true);
    expect(screen.getByRole('status')).toHaveTextContent('Still looking for better groups…');
    expect(screen.queryByRole('button', { name: 'Try another way' })).not.toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Stop looking' }));
    expect(does.stop).toHaveBeenCalledOnce();
  });

  it('is called the best only when that is known', () => {
    show({ proven: true });
    expect(screen.getByRole('status')).toHaveTextContent('No better groups are possible.');
  });

  it('is otherwise the best so far; she takes it, leaves it or asks for another', () => {
    const does = show({ unplaced: ['x', 'y'], notes: ['Quayside has nobody for rainfall.'] });
    expect(screen.getByRole('status')).toHaveTextContent(
      'The best found so far. 2 students without a table on the class list are not in a group.',
    );
    expect(screen.getByText('Quayside has nobody for rainfall.')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Use these groups' }));
    fireEvent.click(screen.getByRole('button', { name: 'Cancel' }));
    fireEvent.click(screen.getByRole('button', { name: 'Try another way' }));
    expect([does.onUse, does.drop, does.onAgain].map((one) => one.mock.calls.length)).toEqual([1, 1, 1]);
  });

  it('of several rounds is looked at round by round, and says who meets again', () => {
    const does = show({ rounds: [round('round 1'), round('round 2')], repeats: 1 });
    expect(screen.getByRole('status')).toHaveTextContent('1 pair meets again.');
    fireEvent.click(screen.getByRole('button', { name: 'Round 2' }));
    expect(does.onRound).toHaveBeenCalledWith(1);
    expect(screen.getByRole('button', { name: 'Use all 2 rounds' })).toBeInTheDocument();
  });

  it('of a jigsaw has experts and home groups', () => {
    show({ rounds: [round('experts'), round('home')] });
    expect(screen.getByRole('button', { name: 'Experts' })).toHaveAttribute('aria-pressed', 'true');
    expect(screen.getByRole('button', { name: 'Home groups' })).toHaveAttribute('aria-pressed', 'false');
  });
});

describe('rules that cannot all be kept', () => {
  it('are named, and each of them can be lifted there', () => {
    const onLift = vi.fn();
    const rules: Schema['RuleView'][] = [
      { id: 'r1', kind: 'apart', students: ['Ada', 'Ben'] },
      { id: 'r2', kind: 'together', students: ['Ada', 'Ben'] },
      { id: 'r3', kind: 'apart', students: ['Chi', 'Dov'] },
    ];
    render(
      <ConflictBar
        conflicts={[{ rules: ['r1', 'r2'], message: 'Ada and Ben cannot be both.' }]}
        desk={{ rules } as unknown as Desk}
        nameOf={(id) => id}
        onLift={onLift}
        onLeave={vi.fn()}
      />,
    );
    expect(screen.getByRole('alert')).toHaveTextContent('Ada and Ben cannot be both.');
    expect(screen.queryByRole('button', { name: /Chi/ })).not.toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Remove: Ada and Ben together' }));
    expect(onLift).toHaveBeenCalledWith(rules[1]);
  });
});
