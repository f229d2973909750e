import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { Numbers } from './Numbers';
import type { Desk } from './useDesk';

const desk = {
  floor: { groups: [{ id: 'q', name: 'Quayside', students: ['a', 'b', 'c', 'd', 'e'] }] },
  numbers: { roles: [{ number: 1, role: 'lead' }], tasks: [{ numbers: [1, 2], task: 'rainfall' }] },
  groupNames: ['Quayside'],
} as unknown as Desk;

function show(of = desk) {
  const does = { onClose: vi.fn(), onSet: vi.fn(), onHandOut: vi.fn() };
  render(<Numbers desk={of} open {...does} />);
  return does;
}

describe('numbers, roles and tasks', () => {
  it('there is a role for each seat of the largest table', () => {
    show();
    expect(screen.getAllByLabelText(/^Role of number/)).toHaveLength(5);
    expect(screen.getByLabelText('Role of number 1')).toHaveValue('lead');
  });

  it('are kept with what was left empty left out', () => {
    const does = show();
    fireEvent.change(screen.getByLabelText('Role of number 2'), { target: { value: ' timekeeper ' } });
    const [first, numbers = document.body] = screen.getAllByLabelText('Numbers');
    const [, task = document.body] = screen.getAllByLabelText('Task');
    expect(first).toHaveValue('1, 2');
    fireEvent.change(numbers, { target: { value: '3 and 4, 99' } });
    fireEvent.change(task, { target: { value: 'heights' } });
    fireEvent.click(screen.getByRole('button', { name: 'Add task' }));
    fireEvent.change(screen.getByLabelText(/^Group names/), { target: { value: 'Quayside\n\n Millbrook ' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(does.onSet).toHaveBeenCalledExactlyOnceWith({
      numbers: {
        roles: [
          { number: 1, role: 'lead' },
          { number: 2, role: 'timekeeper' },
        ],
        tasks: [
          { numbers: [1, 2], task: 'rainfall' },
          { numbers: [3, 4], task: 'heights' },
        ],
      },
      groupNames: ['Quayside', 'Millbrook'],
    });
    expect(does.onClose).toHaveBeenCalledOnce();
  });

  it('are handed out anew only when there are roles', () => {
    const does = show();
    fireEvent.click(screen.getByRole('button', { name: 'Reassign roles' }));
    expect(does.onHandOut).toHaveBeenCalledOnce();
  });

  it('with no role there is nothing to hand out', () => {
    show({ ...desk, numbers: {} });
    expect(screen.queryByRole('button', { name: 'Reassign roles' })).not.toBeInTheDocument();
  });
});
