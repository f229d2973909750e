import { bigSigns, type BigSign as Name } from './bigSigns';

/** Says what a press does to somebody who cannot read. Decoration: what it does stands in the button's name. */
export function BigSign({ name, size }: { name: Name; size: number }) {
  return (
    <svg viewBox="0 0 256 256" width={size} height={size} aria-hidden="true" className="shrink-0">
      <path d={bigSigns[name]} fill="currentColor" />
    </svg>
  );
}
