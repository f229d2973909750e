// Who has worked with whom, to be asked by places in the list of students.

export interface Pairs {
  /** How often two were in one group. */
  times: (one: number, other: number) => number;
  /** The most any two were. */
  most: number;
  /** Places of those somebody was never with. */
  never: (one: number) => number[];
  /** Those somebody was with, most often first. */
  often: (one: number) => { other: number; times: number }[];
}

/**
 * @param count    students
 * @param together pairs that were, with how often
 */
export function pairsOf(count: number, together: number[][]): Pairs {
  const all = Array.from({ length: count }, () => new Map<number, number>());
  let most = 0;
  for (const [one = 0, other = 0, times = 0] of together) {
    all[one]?.set(other, times);
    all[other]?.set(one, times);
    most = Math.max(most, times);
  }
  const times = (one: number, other: number) => all[one]?.get(other) ?? 0;
  const others = (one: number) => all.map((_, i) => i).filter((i) => i !== one);
  return {
    times,
    most,
    never: (one) => others(one).filter((other) => times(one, other) === 0),
    often: (one) =>
      others(one)
        .map((other) => ({ other, times: times(one, other) }))
        .filter((pair) => pair.times > 0)
        .sort((a, b) => b.times - a.times),
  };
}
