import * as m from '#messages';

/** A length of time in words, as short as it can be heard: “40 s”, “3 min”. */
export function lasting(seconds: number): string {
  return seconds < 60
    ? m.common_short_s({ n: Math.max(0, Math.floor(seconds)) })
    : m.common_short_min({ n: Math.floor(seconds / 60) });
}
