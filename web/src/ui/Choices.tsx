import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import type { ReactNode } from 'react';

/** A button that opens a list of things to do. */
export function Choices({
  label,
  name,
  children,
  className = '',
}: {
  /** What stands on the button. */
  label: ReactNode;
  /** What it is called, where that is more than what stands on it. */
  name?: string;
  children: ReactNode;
  className?: string;
}) {
  return (
    <Menu>
      <MenuButton aria-label={name} className={`border border-ink bg-sheet px-3 py-1.5 hover:bg-wash ${className}`}>
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

/** One thing to do in a list of such, or to take away as a file. */
export function Do({
  onPress,
  href,
  note,
  children,
}: {
  onPress?: () => void;
  href?: string;
  note?: string;
  children: ReactNode;
}) {
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
