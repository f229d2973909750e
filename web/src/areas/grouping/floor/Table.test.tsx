import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Student } from './NameTag';
import { hereAt, Table, type Effect } from './Table';

const student = (name: string, absent = false): Student =>
  ({ id: name.toLowerCase(), name, absent, place: 'lost', because: 'never' }) as unknown as Student;
const group = { id: 'q', name: 'Quayside', mark: 0, number: 1, students: ['ada', 'ben'] };

function show(props: { effect?: Effect; students?: Student[]; guests?: { student: Student; from: string }[] } = {}) {
  const does = { onOpenTag: vi.fn(), onOpenTable: vi.fn() };
  render(
    <ul>
      <Table
        group={group}
        students={props.students ?? [student('Ada'), student('Ben')]}
        guests={props.guests ?? []}
        fixed={new Set(['ben'])}
        live={false}
        picked={null}
        compact={false}
        scale={1}
        above={1}
        note="2"
        way={null}
        effect={props.effect}
        {...does}
      />
    </ul>,
  );
  return does;
}

describe('a table on the floor', () => {
  it('shows who has arrived before anybody is sent', () => {
    show({ students: [student('Ada'), { ...student('Ben'), place: 'inPlace', because: 'service' }] });
    expect(screen.getByRole('button', { name: 'Ben, Quayside, fixed seat, arrived' })).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Ada, Quayside' })).toBeInTheDocument();
  });

  it('is named with its size, and says which seats are fixed', () => {
    const does = show();
    expect(screen.getByRole('button', { name: 'Ben, Quayside, fixed seat' })).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Quayside, 2 students' }));
    expect(does.onOpenTable).toHaveBeenCalledOnce();
  });

  it('says what a drop would break before anything else', () => {
    show({ effect: { group: 'q', trend: 1, breaks: ['Ada and Chi apart', 'Chi and Dov together'] } });
    expect(screen.getByText('breaks: Ada and Chi apart; Chi and Dov together')).toBeInTheDocument();
    expect(screen.queryByText('better for the goals')).not.toBeInTheDocument();
  });

  it.each([
    [1, 'better for the goals'],
    [0, 'no difference to the goals'],
    [-1, 'worse for the goals'],
  ])('says what a drop would do for the goals: %d', (trend, text) => {
    show({ effect: { group: 'q', trend, breaks: [] } });
    expect(screen.getByText(text)).toBeInTheDocument();
  });

  it('shows who sits there and belongs elsewhere', () => {
    const eve = student('Eve');
    const does = show({ guests: [{ student: eve, from: 'Millbrook' }] });
    fireEvent.click(screen.getByRole('button', { name: /Eve/ }));
    expect(screen.getByText('belongs in Millbrook')).toBeInTheDocument();
    expect(does.onOpenTag.mock.calls[0]?.[0]).toBe(eve);
  });

  it('counts those who are here', () => {
    expect(hereAt(group, [student('Ada', true), student('Ben')])).toBe(1);
    expect(hereAt(group, [])).toBe(2);
  });
});
