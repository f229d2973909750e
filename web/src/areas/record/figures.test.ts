import { describe, expect, it } from 'vitest';
import { byGroups, groupsOnce, minutesOf, shareOf, type GroupRecord, type StudentRecord } from './figures';

const student = (id: string, group: string | null) => ({ student: id, group }) as StudentRecord;
const group = (id: string, round = 1) => ({ group: id, round }) as GroupRecord;

describe('figures of a record', () => {
  it('are in minutes with one decimal', () => {
    expect(minutesOf(754_000)).toBe(12.6);
    expect(minutesOf(0)).toBe(0);
  });

  it('a share is of what all wrote, and none where nobody did', () => {
    expect(shareOf({ put: 30, ofGroup: 40 })).toBe(75);
    expect(shareOf({ put: 0, ofGroup: 0 })).toBeNull();
  });

  it('students stand by their groups, whoever was in none comes last', () => {
    const students = [student('a', 'y'), student('b', null), student('c', 'x'), student('d', 'y')];
    const groups = [group('x'), group('y')];
    expect(byGroups({ students, groups }).map((one) => one.student)).toEqual(['c', 'a', 'd', 'b']);
  });

  it('a group that was out twice stands once, as it was last', () => {
    expect(groupsOnce([group('x', 1), group('y', 1), group('x', 2)])).toEqual([group('x', 2), group('y', 1)]);
  });
});
