// A button, and the slip it opens.
import type { ButtonHTMLAttributes, ReactNode } from 'react';
import { headless } from '../later/headlessLater';
import { useLater } from '../later/later';
import { useWanted } from '../later/useWanted';

export interface PopoverProps {
  /** Of the button itself. */
  button: Omit<ButtonHTMLAttributes<HTMLButtonElement>, 'disabled' | 'autoFocus'> & Record<`data-${string}`, unknown>;
  /** What stands on the button. */
  label: ReactNode;
  className?: string;
  /** Classes of the slip. */
  panel?: string;
  children: (close: () => void) => ReactNode;
}

/** A button with a slip of paper that opens below it. */
export function Popover(props: PopoverProps) {
  const parts = useLater(headless);
  const { wanted, still } = useWanted(props.button['aria-label'] ?? '');
  if (parts !== null) return <parts.Popover {...props} wanted={wanted} />;
  return (
    <div className={props.className}>
      <button type="button" aria-expanded={false} {...props.button} {...still}>
        {props.label}
      </button>
    </div>
  );
}
