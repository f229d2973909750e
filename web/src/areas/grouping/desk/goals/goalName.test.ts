import { describe, expect, it } from 'vitest';
import { goalKey, goalName, possibleGoals } from './goalName';
import { whole } from '../useDesk';

describe('goals are said as a teacher would', () => {
  it('by what they are about', () => {
    expect(goalName({ kind: 'spread', attribute: 'level' })).toBe('Level mixed');
    expect(goalName({ kind: 'alike', attribute: 'level' })).toBe('Level alike');
    expect(goalName({ kind: 'notAlone', attribute: 'Home language' })).toBe(
      'Nobody without someone who shares their home language',
    );
    expect(goalName({ kind: 'eachHas', tag: 'lead', atLeast: 1 })).toBe('“lead” in each group');
    expect(goalName({ kind: 'eachHas', tag: 'lead', atLeast: 2 })).toBe('2 × “lead” in each group');
    expect(goalName({ kind: 'newPartners' })).toBe('New partners');
    expect(goalName({ kind: 'wishes' })).toBe('Everyone with someone they asked for');
  });
});

describe('goals that can be set', () => {
  const attributes = [
    { name: 'level', numeric: true },
    { name: 'language', numeric: false },
  ];
  it('follow from what the class list knows', () => {
    expect(possibleGoals(attributes, ['lead'], []).map(goalKey)).toEqual([
      'newPartners||',
      'eachHas||lead',
      'spread|level|',
      'alike|level|',
      'spread|language|',
      'alike|language|',
      'notAlone|language|',
    ]);
  });
  it('nobody is alone with a number', () => {
    expect(
      possibleGoals(attributes, [], []).some((goal) => goal.kind === 'notAlone' && goal.attribute === 'level'),
    ).toBe(false);
  });
  it('wishes count only where somebody has one', () => {
    expect(possibleGoals([], [], []).map(goalKey)).not.toContain('wishes||');
    expect(possibleGoals([], [], [], true).map(goalKey)).toContain('wishes||');
  });
  it('are offered once', () => {
    const set = [{ kind: 'newPartners' as const }];
    expect(possibleGoals([], [], set)).toEqual([]);
  });
});

describe('settings', () => {
  it('have everything, whatever the server leaves out', () => {
    expect(whole({})).toEqual({
      method: 'deal',
      shape: 'groups',
      groups: 6,
      size: 4,
      remainder: 'spread',
      sizes: [],
      rounds: 3,
      goals: [],
      topics: [],
    });
    expect(whole({ method: 'balance', groups: 3 })).toMatchObject({ method: 'balance', groups: 3, size: 4 });
  });
});
