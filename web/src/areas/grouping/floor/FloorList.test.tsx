import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schema } from '../../../api/client';
import { FloorList } from './FloorList';
import type { Student } from './NameTag';

const student = (name: string, more: Partial<Student> = {}): Student =>
  ({ id: name.toLowerCase(), name, absent: false, place: 'inPlace', because: 'page', ...more }) as unknown as Student;
const floor = {
  groups: [
    { id: 'q', name: 'Quayside', mark: 0, number: 1, students: ['ben', 'ada'] },
    { id: 'm', name: 'Millbrook', mark: 1, number: 2, students: ['chi'] },
  ],
  fixed: ['ada'],
} as unknown as Schema['FloorView'];
const students = [student('Ada'), student('Dov'), student('Chi'), student('Ben'), student('Eve', { absent: true })];

function show(live: boolean) {
  const onOpenTag = vi.fn();
  render(
    <FloorList floor={floor} students={students} live={live} note={(one) => `${one.name}?`} onOpenTag={onOpenTag} />,
  );
  return onOpenTag;
}

describe('the floor as a list', () => {
  it('has the groups in their order, the seats in theirs, and those without a seat last', () => {
    show(false);
    const rows = screen.getAllByRole('row').slice(1);
    expect(rows.map((row) => [...row.querySelectorAll('td')].map((cell) => cell.textContent.trim()))).toEqual([
      ['Quayside', '1', 'Ben'],
      ['Quayside', '2', 'Adafixed seat'],
      ['Millbrook', '1', 'Chi'],
      ['Not in a group', '', 'Dov'],
      ['Absent today', '', 'Eve'],
    ]);
  });

  it('has the same actions behind each name', () => {
    const onOpenTag = show(false);
    fireEvent.click(screen.getByRole('button', { name: 'Chi' }));
    expect(onOpenTag.mock.calls[0]?.[0]).toBe(students[2]);
  });

  it('says where everybody is while a lesson runs', () => {
    show(true);
    expect(screen.getByRole('columnheader', { name: 'Where' })).toBeInTheDocument();
    expect(screen.getByText('Dov?')).toBeInTheDocument();
  });
});
