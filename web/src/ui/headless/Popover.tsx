// A slip that opens under its button.
import { Popover as Headless, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useRef } from 'react';
import type { PopoverProps } from '../slips/Popover';
import type { Wanted } from '../later/useWanted';
import { useGoOn } from './useGoOn';

export function Popover({
  button,
  label,
  className = '',
  children,
  wanted,
  ...rest
}: PopoverProps & { wanted: Wanted }) {
  const place = useRef<HTMLButtonElement>(null);
  useGoOn(place, wanted);
  return (
    <Headless className={className}>
      <PopoverButton ref={place} {...button}>
        {label}
      </PopoverButton>
      <PopoverPanel
        anchor={{ to: 'bottom start', gap: 6, padding: 8 }}
        className={`z-40 w-80 border-2 border-ink bg-sheet p-3 shadow-[4px_4px_0_var(--ink)] ${rest.panel ?? ''}`}
      >
        {({ close }) => <>{children(close)}</>}
      </PopoverPanel>
    </Headless>
  );
}
