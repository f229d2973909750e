/** How far something is met: a rule line filled from the left. */
export function MetBar({ met, label }: { met: number; label: string }) {
  return (
    <span className="mt-1 flex items-center gap-2">
      <span
        role="meter"
        aria-label={label}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(met * 100)}
        className="block h-2.5 flex-1 border border-ink bg-sheet"
      >
        <span className="block h-full bg-ink" style={{ width: `${met * 100}%` }} />
      </span>
    </span>
  );
}
