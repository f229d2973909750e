// Time on a line: where moments of a lesson stand, in per cent of its length.

export interface TimeScale {
  /** Where a moment stands, 0 to 100. */
  at: (moment: number) => number;
  /** How wide a stretch is, 0 to 100. */
  width: (from: number, to: number) => number;
  /** Moments to be named, about so many as can be read. */
  ticks: number[];
}

const minute = 60_000;
const steps = [1, 2, 5, 10, 15, 20, 30, 60].map((n) => n * minute);

/** @param from milliseconds since 1970 */
export function timeScale(from: number, to: number): TimeScale {
  const length = Math.max(1, to - from);
  const at = (moment: number) => (100 * Math.min(length, Math.max(0, moment - from))) / length;
  const step = steps.find((one) => length / one <= 10) ?? 60 * minute * Math.ceil(length / (600 * minute));
  const ticks: number[] = [];
  for (let tick = from + step; tick < to - step / 3; tick += step) ticks.push(tick);
  return { at, width: (one, other) => at(other) - at(one), ticks };
}
