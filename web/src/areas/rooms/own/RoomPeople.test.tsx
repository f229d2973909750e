// Who is in a room: everybody in a small one, those who can be heard in a large one.
import { fireEvent, render, screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import type { Person } from './people';
import { RoomPeople } from './RoomPeople';

const person = (n: number, how: Partial<Person> = {}): Person => ({
  id: `p${n}`,
  name: `Student ${String.fromCharCode(90 - n)}`,
  isStaff: false,
  isOn: false,
  isSpeaking: false,
  shares: null,
  picture: null,
  ...how,
});
const names = () => screen.getAllByRole('listitem').map((one) => one.textContent);

it('names everybody in a small room', () => {
  render(<RoomPeople people={[person(0), person(1, { isOn: true })]} />);
  expect(names()).toHaveLength(2);
  expect(screen.queryByRole('button')).toBeNull();
});

it('names those who can be heard or seen in a large one, and counts the others', () => {
  const many = Array.from({ length: 20 }, (_, n) => person(n));
  many[3] = person(3, { isOn: true });
  many[7] = person(7, { shares: 'screen' });
  render(<RoomPeople people={[...many, person(20, { isStaff: true, name: 'Ines Halvorsen' })]} />);
  expect(names()).toEqual(['Student W', expect.stringContaining('Student S'), expect.stringContaining('Ines')]);
  fireEvent.click(screen.getByRole('button', { name: '18 more, all muted' }));
  expect(names()).toHaveLength(21);
  expect(names()[3]).toContain('Student G'); // by name
  fireEvent.click(screen.getByRole('button', { name: 'Fewer names' }));
  expect(names()).toHaveLength(3);
});
