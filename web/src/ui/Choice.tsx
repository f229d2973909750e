import { Field, Label, Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';

/** One of a few, chosen from a list that opens. */
export function Choice<T extends string | number | null>({
  label,
  value,
  options,
  onChange,
  hidden = false,
  disabled = false,
  className = '',
}: {
  label: string;
  value: T;
  options: { value: T; label: string }[];
  onChange: (value: T) => void;
  /** The label is said and not shown. */
  hidden?: boolean;
  disabled?: boolean;
  className?: string;
}) {
  const chosen = options.find((option) => option.value === value);
  return (
    <Field className={className} disabled={disabled}>
      <Label className={hidden ? 'sr-only' : 'block text-sm font-semibold'}>{label}</Label>
      <Listbox value={value} onChange={onChange}>
        <ListboxButton
          className={`flex w-full max-w-full items-baseline justify-between gap-2 border border-ink bg-sheet px-2 py-1 text-start text-ink disabled:opacity-45 ${hidden ? '' : 'mt-1'}`}
        >
          <span className="min-w-0 wrap-anywhere">{chosen?.label ?? ''}</span>
          <span aria-hidden="true" className="text-xs">
            ▾
          </span>
        </ListboxButton>
        <ListboxOptions
          anchor={{ to: 'bottom start', gap: 2, padding: 8 }}
          className="z-50 max-h-72 min-w-(--button-width) overflow-y-auto border-2 border-ink bg-sheet shadow-[3px_3px_0_var(--ink)] focus:outline-none"
        >
          {options.map((option) => (
            <ListboxOption
              key={option.value ?? '-'}
              value={option.value}
              className="cursor-pointer px-3 py-1.5 data-focus:bg-wash data-selected:font-semibold"
            >
              {option.label}
            </ListboxOption>
          ))}
        </ListboxOptions>
      </Listbox>
    </Field>
  );
}
