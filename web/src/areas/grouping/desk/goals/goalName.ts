// Goals of a grouping: in words, and which are possible.
import * as m from '#messages';
import type { Goal } from '../useDesk';

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** A goal as a teacher would say it. */
export function goalName(goal: Goal): string {
  const about = goal.attribute ?? goal.tag ?? '';
  const what = goal.kind === 'eachHas' ? about : goal.kind === 'notAlone' ? about.toLowerCase() : capital(about);
  return m.desk_goalKinds({ key: goal.kind, what, n: goal.atLeast ?? 1 });
}

export function goalKey(goal: Goal): string {
  return [goal.kind, goal.attribute ?? '', goal.tag ?? ''].join('|');
}

/** The goals that can be set with what the class list knows, without those that are set. */
export function possibleGoals(
  attributes: readonly { name: string; numeric: boolean }[],
  tags: readonly string[],
  set: readonly Goal[],
  wishes = false,
): Goal[] {
  const all: Goal[] = [
    { kind: 'newPartners' },
    ...(wishes ? [{ kind: 'wishes' as const }] : []),
    ...tags.map((tag): Goal => ({ kind: 'eachHas', tag, atLeast: 1 })),
    ...attributes.flatMap(({ name, numeric }): Goal[] => [
      { kind: 'spread', attribute: name },
      { kind: 'alike', attribute: name },
      ...(numeric ? [] : [{ kind: 'notAlone' as const, attribute: name }]),
    ]),
  ];
  const there = new Set(set.map(goalKey));
  return all.filter((goal) => !there.has(goalKey(goal)));
}
