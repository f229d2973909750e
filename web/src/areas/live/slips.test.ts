import { describe, expect, it } from 'vitest';
import { slipsOf } from './slips';

const lesson = {
  students: ['Ada', 'Ben', 'Chi', 'Dov'].map((name) => ({ id: name, name, absent: name === 'Ben' })),
  floor: { groups: [{ name: 'Quayside', mark: 3, students: ['Chi', 'Ben', 'Ada'] }] },
} as unknown as Parameters<typeof slipsOf>[0];
const numbers = {
  roles: [{ number: 1, role: 'lead' }],
  tasks: [
    { numbers: [1, 3], task: 'Measure' },
    { numbers: [3], task: 'Write' },
  ],
};

describe('slips', () => {
  it('say who everybody is with, in the order of the seats, with what the number carries', () => {
    expect(slipsOf(lesson, numbers).map((slip) => [slip.name, slip.seat, slip.role, slip.task])).toEqual([
      ['Chi', 1, 'lead', 'Measure'],
      ['Ada', 3, '', 'Measure; Write'],
      ['Dov', null, '', ''],
    ]);
  });

  it('there is none for who is absent', () => {
    expect(slipsOf(lesson, {}).map((slip) => slip.name)).not.toContain('Ben');
  });
});
