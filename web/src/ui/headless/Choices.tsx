// A list of which several are chosen.
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { useRef } from 'react';
import { choicesLook, type ChoicesProps, type DoProps } from '../fields/Choices';
import type { Wanted } from '../later/useWanted';
import { useGoOn } from './useGoOn';

export function Choices({ label, name, children, className = '', wanted }: ChoicesProps & { wanted: Wanted }) {
  const button = useRef<HTMLButtonElement>(null);
  useGoOn(button, wanted);
  return (
    <Menu>
      <MenuButton ref={button} aria-label={name} className={`${choicesLook} ${className}`}>
        {label}
      </MenuButton>
      <MenuItems
        anchor={{ to: 'bottom end', gap: 2, padding: 8 }}
        className="z-50 min-w-48 border-2 border-ink bg-sheet py-1 shadow-[3px_3px_0_var(--ink)] focus:outline-none"
      >
        {children}
      </MenuItems>
    </Menu>
  );
}

export function Do({ onPress, href, note, children }: DoProps) {
  const look = 'block w-full px-3 py-1.5 text-start data-focus:bg-wash';
  const what = (
    <>
      {children}
      {note !== undefined && <span className="ms-2 text-sm text-soft">{note}</span>}
    </>
  );
  return (
    <MenuItem>
      {href === undefined ? (
        <button type="button" onClick={onPress} className={look}>
          {what}
        </button>
      ) : (
        <a href={href} download className={look}>
          {what}
        </a>
      )}
    </MenuItem>
  );
}
