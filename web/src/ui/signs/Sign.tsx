import { markOf } from './marks';

/** A group's sign in its colour. Decoration: the name stands beside it. */
export function Sign({ mark, size = 20, plain = false }: { mark: number; size?: number; plain?: boolean }) {
  const { colour, path } = markOf(mark);
  return (
    <svg
      viewBox="0 0 24 24"
      width={size}
      height={size}
      aria-hidden="true"
      className="shrink-0"
      style={{ color: plain ? 'currentColor' : colour }}
    >
      <path d={path} fill="currentColor" fillRule="evenodd" />
    </svg>
  );
}
