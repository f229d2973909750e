import { Fragment } from 'react';
import * as m from '#messages';

/**
 * 1,123 seconds as 18 min 43 s: a length of time has its units beside its numbers, so that nobody takes it for a time
 * of day.
 */
export function durationParts(seconds: number): [number, string][] {
  const hours = Math.floor(seconds / 3600);
  const minutes = Math.floor(seconds / 60) % 60;
  return [
    ...(hours > 0 ? [[hours, m.common_unitHours()] satisfies [number, string]] : []),
    ...(seconds >= 60 ? [[minutes, m.common_unitMinutes()] satisfies [number, string]] : []),
    ...(hours > 0 ? [] : [[seconds % 60, m.common_unitSeconds()] satisfies [number, string]]),
  ];
}

export function Duration({ seconds }: { seconds: number }) {
  return (
    <span className="whitespace-nowrap tabular-nums">
      {durationParts(seconds).map(([n, unit], i) => (
        <Fragment key={unit}>
          {i > 0 && <span className="text-[0.5em]"> </span>}
          {n}
          <span className="text-[0.65em] font-normal"> {unit}</span>
        </Fragment>
      ))}
    </span>
  );
}
