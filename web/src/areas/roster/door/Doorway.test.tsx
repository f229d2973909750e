import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { Doorway } from './Doorway';
import type { useDoor } from './useDoor';

const students = [
  { id: 'ada', name: 'Ada Lund' },
  { id: 'zofia', name: 'Zofia Wójcik' },
];

function open(
  waiting: { id: string; typed: string; student: string | null; taken: boolean; odd?: boolean }[],
  shut = false,
) {
  const guests = waiting.map((guest) => ({ odd: false, ...guest }));
  const letIn = vi.fn();
  const notNow = vi.fn();
  const asGuest = vi.fn();
  const letAllIn = vi.fn();
  const shutOut = vi.fn();
  const letWait = vi.fn();
  const press = (mutate: () => void) => ({ mutate, isPending: false });
  const door = {
    shutOut: press(shutOut),
    letWait: press(letWait),
    letIn: press(letIn),
    notNow: press(notNow),
    asGuest: press(asGuest),
    letAllIn: press(letAllIn),
  };
  render(
    <Doorway guests={guests} shut={shut} students={students} door={door as unknown as ReturnType<typeof useDoor>} />,
  );
  return { letIn, notNow, asGuest, letAllIn, shutOut, letWait };
}

describe('the doorway', () => {
  it('is not there while nobody waits', () => {
    open([]);
    expect(screen.queryByRole('region')).toBeNull();
  });

  it('asks who somebody is, and lets nobody in before that is said', async () => {
    const { letIn } = open([{ id: 'g1', typed: 'Beanie', student: null, taken: false }]);
    expect(screen.getByRole('button', { name: 'Let in' })).toBeDisabled();
    const choice = screen.getByRole('combobox', { name: 'Who is “Beanie”?' });
    fireEvent.change(choice, { target: { value: 'wojcik' } });
    expect(screen.getByRole('option', { name: 'Zofia Wójcik' })).toBeInTheDocument();
    fireEvent.keyDown(choice, { key: 'Enter' });
    fireEvent.click(await screen.findByRole('button', { name: 'Let in' }));
    expect(letIn).toHaveBeenCalledWith({ guest: 'g1', student: 'zofia' });
  });

  it('offers who it would be where another device has that name; one press lets them in', () => {
    const { letIn, notNow } = open([{ id: 'g1', typed: 'ada lund', student: 'ada', taken: true }]);
    expect(screen.getByText('Another device is using this name.')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Let in' }));
    expect(letIn).toHaveBeenCalledWith({ guest: 'g1', student: 'ada' });
    fireEvent.click(screen.getByRole('button', { name: 'Not now' }));
    expect(notNow).toHaveBeenCalledWith('g1');
  });

  it('lets in all at once whose name is clear and free, and a guest who is on no list', () => {
    const { letAllIn, asGuest } = open([
      { id: 'g1', typed: 'ada lund', student: 'ada', taken: false },
      { id: 'g2', typed: 'zofia', student: 'zofia', taken: false },
      { id: 'g3', typed: 'Aunt Mary', student: null, taken: false },
    ]);
    fireEvent.click(screen.getByRole('button', { name: 'Let in all 2 whose names match' }));
    expect(letAllIn).toHaveBeenCalledOnce();
    fireEvent.click(screen.getByRole('button', { name: 'Let in as a guest for this lesson' }));
    expect(asGuest).toHaveBeenCalledWith('g3');
  });

  it('turns away with one press whoever is not on the list, and lets them wait again', () => {
    const strangers = [
      { id: 'g1', typed: 'Xx', student: null, taken: false },
      { id: 'g2', typed: 'Yy', student: null, taken: false },
    ];
    const { shutOut } = open(strangers);
    fireEvent.click(screen.getByRole('button', { name: 'Turn away all 2 people who aren’t on the list' }));
    expect(shutOut).toHaveBeenCalledOnce();
  });

  it('says that strangers are shut out, though nobody waits', () => {
    const { letWait } = open([], true);
    fireEvent.click(screen.getByRole('button', { name: 'Let others wait again' }));
    expect(letWait).toHaveBeenCalledOnce();
  });

  it('says that a name may look like another and not be it', () => {
    open([{ id: 'g1', typed: 'Аda Lund', student: null, taken: false, odd: true }]);
    expect(screen.getByText(/mixes alphabets/)).toBeInTheDocument();
  });
});
