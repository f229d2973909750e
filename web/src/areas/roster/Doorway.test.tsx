import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { Doorway } from './Doorway';
import type { useDoor } from './useDoor';

const students = [
  { id: 'ada', name: 'Ada Lund' },
  { id: 'zofia', name: 'Zofia Wójcik' },
];

function open(guests: { id: string; typed: string; student: string | null }[]) {
  const letIn = vi.fn();
  const notNow = vi.fn();
  const door = { letIn: { mutate: letIn, isPending: false }, notNow: { mutate: notNow, isPending: false } };
  render(<Doorway guests={guests} students={students} door={door as unknown as ReturnType<typeof useDoor>} />);
  return { letIn, notNow };
}

describe('the doorway', () => {
  it('is not there while nobody waits', () => {
    open([]);
    expect(screen.queryByRole('region')).toBeNull();
  });

  it('asks who somebody is, and lets nobody in before that is said', async () => {
    const { letIn } = open([{ id: 'g1', typed: 'Beanie', student: null }]);
    expect(screen.getByRole('button', { name: 'Let in' })).toBeDisabled();
    const choice = screen.getByRole('combobox', { name: 'Who is “Beanie”?' });
    fireEvent.change(choice, { target: { value: 'wojcik' } });
    expect(screen.getByRole('option', { name: 'Zofia Wójcik' })).toBeInTheDocument();
    fireEvent.keyDown(choice, { key: 'Enter' });
    fireEvent.click(await screen.findByRole('button', { name: 'Let in' }));
    expect(letIn).toHaveBeenCalledWith({ guest: 'g1', student: 'zofia' });
  });

  it('offers who it would be where another device has that name; one press lets them in', () => {
    const { letIn, notNow } = open([{ id: 'g1', typed: 'ada lund', student: 'ada' }]);
    expect(screen.getByText('Another device has this name.')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Let in' }));
    expect(letIn).toHaveBeenCalledWith({ guest: 'g1', student: 'ada' });
    fireEvent.click(screen.getByRole('button', { name: 'Not now' }));
    expect(notNow).toHaveBeenCalledWith('g1');
  });
});
