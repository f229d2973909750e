import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { GoalList } from './GoalList';
import type { Desk, Goal } from '../useDesk';
import { offered } from '../../../../ui/fields/choose.testing';

const goals: Goal[] = [
  { kind: 'eachHas', tag: 'lead', atLeast: 1 },
  { kind: 'spread', attribute: 'Level' },
];
const desk = {
  attributes: [{ name: 'Level', numeric: true, values: ['1', '2'] }],
  tags: ['lead'],
  rules: [],
} as unknown as Desk;

function show(set = goals) {
  const onGoals = vi.fn();
  render(
    <GoalList
      desk={desk}
      goals={set}
      standings={[
        { met: 1, unit: 'groups', count: 6, of: 6, obstacle: '', summary: '' },
        {
          met: 0.4,
          unit: 'share',
          count: 0,
          of: 0,
          obstacle: 'Quayside has 4.0 on average, Millbrook 2.0',
          summary: '',
        },
      ]}
      onGoals={onGoals}
    />,
  );
  return onGoals;
}

describe('the goals', () => {
  it('stand in the teacher’s order, with how far each is met and what stands in the way', () => {
    show();
    const items = screen.getAllByRole('listitem');
    expect(items[0]).toHaveTextContent('“lead” in each group');
    expect(items[0]).toHaveTextContent('6 of 6 groups');
    expect(items[1]).toHaveTextContent(
      '40 % of the best possible (0 % = random groups): Quayside has 4.0 on average, Millbrook 2.0',
    );
    expect(screen.getByRole('meter', { name: 'Level mixed' })).toHaveAttribute('aria-valuenow', '40');
  });

  it('are put into another order without a mouse', () => {
    const onGoals = show();
    fireEvent.click(screen.getByRole('button', { name: 'Level mixed: more important' }));
    expect(onGoals).toHaveBeenCalledWith([goals[1], goals[0]]);
    expect(screen.getByRole('button', { name: '“lead” in each group: more important' })).toBeDisabled();
    expect(screen.getByRole('button', { name: 'Level mixed: less important' })).toBeDisabled();
  });

  it('take the focus with them when they are moved, and hand it on when they are taken out', () => {
    const three: Goal[] = [...goals, { kind: 'newPartners' }];
    function Held() {
      const [held, setHeld] = useState(three);
      return <GoalList desk={desk} goals={held} standings={[]} onGoals={setHeld} />;
    }
    render(<Held />);
    const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
    press('New partners: more important');
    expect(screen.getByRole('button', { name: 'New partners: more important' })).toHaveFocus();
    press('New partners: more important');
    expect(screen.getByRole('button', { name: 'New partners: less important' })).toHaveFocus();
    press('Remove the goal New partners');
    expect(screen.getByRole('button', { name: 'Remove the goal “lead” in each group' })).toHaveFocus();
  });

  it('are taken out and added at the end', async () => {
    const onGoals = show();
    fireEvent.click(screen.getByRole('button', { name: 'Remove the goal “lead” in each group' }));
    expect(onGoals).toHaveBeenLastCalledWith([goals[1]]);
    expect((await offered('Add goal')).map((one) => one.textContent)).toEqual(['New partners', 'Level alike']);
    fireEvent.click(screen.getByRole('menuitem', { name: 'New partners' }));
    expect(onGoals).toHaveBeenLastCalledWith([...goals, { kind: 'newPartners' }]);
  });

  it('say that there is none yet', () => {
    show([]);
    expect(screen.getByText(/No goals yet/)).toBeInTheDocument();
  });
});
