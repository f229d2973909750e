import { pictureOf } from './pictures';

/** A student's own picture. */
export function Picture({ number, size }: { number: number; size: number }) {
  const { name, path, colour } = pictureOf(number);
  return (
    <svg viewBox="0 0 256 256" width={size} height={size} role="img" aria-label={name} className="shrink-0">
      <path d={path} style={{ fill: `color-mix(in oklab, ${colour} 78%, var(--ink))` }} />
    </svg>
  );
}
