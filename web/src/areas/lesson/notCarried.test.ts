import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { notCarried } from './notCarried';

type Lesson = Parameters<typeof notCarried>[0];

const lesson = (className: string, groups: string[], given: string[] = [], students = 4) =>
  ({
    className,
    students: Array.from({ length: students }, (_, i) => ({ id: String(i), attributes: [] as { name: string }[] })),
    floor: { groups: groups.map((name) => ({ id: `${className}-${name}`, name })) },
    handOut: [{ cells: given.map((name) => ({ group: `${className}-${name}`, way: 'together', variant: name })) }],
  }) as unknown as Lesson & Schema['LessonView'];

describe('what a lesson for another class cannot have', () => {
  const six = ['A', 'B', 'C', 'D', 'E', 'F'];

  it('nothing but rooms and copies, where both have as many groups', () => {
    expect(notCarried(lesson('9G', six, six), lesson('9H', six))).toEqual([
      'Rooms and copies belong to a class, so make them here.',
    ]);
  });

  it('parts for groups that are not there, by name', () => {
    expect(notCarried(lesson('9G', six, six), lesson('9H', ['A', 'B', 'C', 'D']))[0]).toBe(
      '4 groups here, 6 there: nobody gets what was planned for E and F.',
    );
    expect(notCarried(lesson('9G', six, []), lesson('9H', ['A', 'B', 'C', 'D']))).toHaveLength(1);
  });

  it('groups for which nobody has said anything', () => {
    expect(notCarried(lesson('9G', ['A'], ['A']), lesson('9H', ['A', 'B']))[0]).toBe(
      'Nothing was planned for B, so they get what everyone gets.',
    );
  });

  it('variants by what the other list does not say', () => {
    const from = {
      ...lesson('9G', ['A']),
      handOut: [{ title: 'Sheet', cells: [], by: { attribute: 'Level', values: [] } }],
    };
    const to = lesson('9H', ['A']);
    const said = (there: typeof to) => notCarried(from as unknown as typeof to, there)[0];
    expect(said(to)).toBe('The list of 9H doesn’t include Level, so variants of “Sheet” go by group there.');
    const [first] = to.students;
    if (first !== undefined) first.attributes = [{ name: 'Level', value: '1' }];
    expect(said(to)).toBe('Rooms and copies belong to a class, so make them here.');
  });

  it('a class without students, and one without groups', () => {
    expect(notCarried(lesson('9G', six, six), lesson('9H', [], [], 0))[0]).toBe('Nobody is on the list of 9H yet.');
    expect(notCarried(lesson('9G', six, six), lesson('9H', []))[0]).toBe('9H has no groups yet. Make them first.');
  });
});
