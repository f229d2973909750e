import type { ReactNode } from 'react';

/** A box to tick, with its label and perhaps a hint. */
export function Tick({
  label,
  hint,
  checked,
  disabled = false,
  onChange,
}: {
  label: ReactNode;
  hint?: string;
  checked: boolean;
  disabled?: boolean;
  onChange: (checked: boolean) => void;
}) {
  return (
    <label className="flex min-h-6 items-baseline gap-2">
      <input
        type="checkbox"
        className="size-4 shrink-0 translate-y-0.5 accent-ink"
        checked={checked}
        disabled={disabled}
        onChange={(event) => onChange(event.target.checked)}
      />
      <span>
        {label}
        {hint !== undefined && <span className="block text-sm text-soft">{hint}</span>}
      </span>
    </label>
  );
}
