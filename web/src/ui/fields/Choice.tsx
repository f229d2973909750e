// One of a few, chosen from a list.
import { useId } from 'react';
import { headless } from '../later/headlessLater';
import { useLater } from '../later/later';
import { useWanted } from '../later/useWanted';

export interface ChoiceProps<T extends string | number | null> {
  label: string;
  value: T;
  options: { value: T; label: string }[];
  onChange: (value: T) => void;
  /** The label is said and not shown. */
  hidden?: boolean;
  disabled?: boolean;
  className?: string;
}

export const choiceLook = (hidden: boolean) =>
  `flex w-full max-w-full items-baseline justify-between gap-2 border border-ink bg-sheet px-2 py-1 text-start text-ink disabled:opacity-45 ${hidden ? '' : 'mt-1'}`;

export function Chosen({ label }: { label: string }) {
  return (
    <>
      <span className="min-w-0 wrap-anywhere">{label}</span>
      <span aria-hidden="true" className="text-xs">
        ▾
      </span>
    </>
  );
}

/** One of a few, chosen from a list that opens. */
export function Choice<T extends string | number | null>(props: ChoiceProps<T>) {
  const parts = useLater(headless);
  const { wanted, still } = useWanted(props.label);
  const id = useId();
  if (parts !== null) return <parts.Choice {...props} wanted={wanted} />;
  const { label, value, options, hidden = false, disabled = false, className = '' } = props;
  return (
    <div className={className}>
      <span id={`${id}-label`} className={hidden ? 'sr-only' : 'block text-sm font-semibold'}>
        {label}
      </span>
      <button
        type="button"
        id={id}
        aria-haspopup="listbox"
        aria-expanded={false}
        aria-labelledby={`${id}-label ${id}`}
        disabled={disabled}
        className={choiceLook(hidden)}
        {...still}
      >
        <Chosen label={options.find((option) => option.value === value)?.label ?? ''} />
      </button>
    </div>
  );
}
