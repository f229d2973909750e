// A list of which one is chosen.
import { Field, Label, Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';
import { useRef } from 'react';
import { Chosen, choiceLook, type ChoiceProps } from '../fields/Choice';
import type { Wanted } from '../later/useWanted';
import { useGoOn } from './useGoOn';

export function Choice<T extends string | number | null>({
  label,
  value,
  options,
  onChange,
  hidden = false,
  disabled = false,
  className = '',
  wanted,
}: ChoiceProps<T> & { wanted: Wanted }) {
  const button = useRef<HTMLButtonElement>(null);
  useGoOn(button, wanted);
  return (
    <Field className={className} disabled={disabled}>
      <Label className={hidden ? 'sr-only' : 'block text-sm font-semibold'}>{label}</Label>
      <Listbox value={value} onChange={onChange}>
        <ListboxButton ref={button} className={choiceLook(hidden)}>
          <Chosen label={options.find((option) => option.value === value)?.label ?? ''} />
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
