import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schema } from '../../../api/client';
import type { Student } from './NameTag';
import type { Effect } from './Table';
import { TagActions } from './TagActions';
import { find } from '../../../ui/fields/choose.testing';

const student = (name: string, absent = false): Student =>
  ({ id: name.toLowerCase(), name, absent, place: 'inPlace', because: 'page' }) as unknown as Student;
const ada = student('Ada');
const students = [ada, student('Ben'), student('Chi'), student('Dov', true), student('Eve')];
const floor = {
  groups: [
    { id: 'q', name: 'Quayside', mark: 0, students: ['ada', 'ben'] },
    { id: 'm', name: 'Millbrook', mark: 1, students: ['chi', 'dov'] },
    { id: 's', name: 'Saltmarsh', mark: 2, students: [] },
  ],
  fixed: [],
} as unknown as Schema['FloorView'];
const effects = new Map<string, Effect>([
  ['m', { group: 'm', trend: 1, breaks: ['Ada and Chi apart'] }],
  ['s', { group: 's', trend: -1, breaks: [] }],
]);

function show(of = ada, on = floor) {
  const does = { onEdit: vi.fn(), onAbsent: vi.fn(), onClose: vi.fn() };
  render(
    <TagActions
      student={of}
      at={new DOMRect(10, 10, 80, 30)}
      floor={on}
      students={students}
      note={null}
      reasons={['The only one with “lead” here.']}
      effects={effects}
      {...does}
    />,
  );
  return does;
}

describe('what can be done with a name tag', () => {
  it('is told beside it, with why it sits there', () => {
    show();
    expect(screen.getByRole('dialog', { name: 'Ada' })).toHaveTextContent('The only one with “lead” here.');
  });

  it('says before a move what it would break, and whether the goals are better for it', () => {
    show();
    expect(screen.getByRole('button', { name: /Millbrook/ })).toHaveTextContent('breaks: Ada and Chi apart');
    expect(screen.getByRole('button', { name: /Saltmarsh/ })).toHaveTextContent('worse for the goals');
    expect(screen.queryByRole('button', { name: /Quayside/ })).not.toBeInTheDocument();
  });

  it('moves to another table', () => {
    const does = show();
    fireEvent.click(screen.getByRole('button', { name: /Saltmarsh/ }));
    expect(does.onEdit).toHaveBeenCalledExactlyOnceWith({ kind: 'seat', student: 'ada', group: 's' });
    expect(does.onClose).toHaveBeenCalledOnce();
  });

  it('changes seats with anybody of another table who is here', async () => {
    const does = show();
    const field = screen.getByRole('combobox', { name: 'Swap with' });
    fireEvent.change(field, { target: { value: 'e' } });
    expect((await screen.findAllByRole('option')).map((option) => option.textContent)).toEqual(['Eve']);
    await find('Swap with', 'Chi');
    expect(does.onEdit).toHaveBeenCalledExactlyOnceWith({ kind: 'swap', student: 'ada', other: 'chi' });
  });

  it('keeps the seat, and lets it go again', () => {
    const does = show();
    fireEvent.click(screen.getByRole('button', { name: 'Keep this seat' }));
    expect(does.onEdit).toHaveBeenCalledWith({ kind: 'fix', student: 'ada' });
  });

  it('a fixed seat can be dealt again', () => {
    const does = show(ada, { ...floor, fixed: ['ada'] });
    fireEvent.click(screen.getByRole('button', { name: 'Free this seat' }));
    expect(does.onEdit).toHaveBeenCalledWith({ kind: 'free', student: 'ada' });
  });

  it('goes to the shelf; who lies there has no seat to keep', () => {
    const does = show();
    fireEvent.click(screen.getByRole('button', { name: 'Take out of the group' }));
    expect(does.onEdit).toHaveBeenCalledWith({ kind: 'shelve', student: 'ada' });
    cleanup();
    show(student('Eve'));
    expect(screen.getByRole('dialog', { name: 'Eve' })).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: 'Take out of the group' })).not.toBeInTheDocument();
  });

  it('is absent, and here after all', () => {
    const does = show();
    fireEvent.click(screen.getByRole('button', { name: 'Absent today' }));
    expect(does.onAbsent).toHaveBeenCalledExactlyOnceWith(true);
  });

  it('who was absent is here after all', () => {
    const does = show(student('Dov', true));
    fireEvent.click(screen.getByRole('button', { name: 'Not absent' }));
    expect(does.onAbsent).toHaveBeenCalledExactlyOnceWith(false);
  });
});
