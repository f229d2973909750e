import { expect, it } from 'vitest';
import { titleBeside } from './titleBeside';
import { whenText } from '../../words/when';

it('two lessons of one name show their dates', () => {
  const at = (title: string, day: number) => ({ title, startsAt: new Date(2026, 10, day, 10).getTime() });
  const lessons = [at('Walls', 3), at('Walls ', 10), at('Tides', 3)];
  expect(lessons.map((one) => titleBeside(one, lessons))).toEqual([
    `Walls, ${whenText(lessons[0]?.startsAt ?? 0)}`,
    `Walls , ${whenText(lessons[1]?.startsAt ?? 0)}`,
    'Tides',
  ]);
  expect(titleBeside({ title: 'Walls', startsAt: null }, lessons)).toBe('Walls');
});
