// A button that opens a list of things to do.
import type { ReactNode } from 'react';
import { headless } from '../later/headlessLater';
import { useLater } from '../later/later';
import { useWanted } from '../later/useWanted';

export interface ChoicesProps {
  /** What stands on the button. */
  label: ReactNode;
  /** What it is called, where that is more than what stands on it. */
  name?: string;
  children: ReactNode;
  className?: string;
}

export interface DoProps {
  onPress?: () => void;
  href?: string;
  note?: string;
  children: ReactNode;
}

export const choicesLook = 'border border-ink bg-sheet px-3 py-1.5 hover:bg-wash';

/** A button that opens a list of things to do. */
export function Choices(props: ChoicesProps) {
  const parts = useLater(headless);
  const { wanted, still } = useWanted(props.name ?? (typeof props.label === 'string' ? props.label : ''));
  if (parts !== null) return <parts.Choices {...props} wanted={wanted} />;
  return (
    <button
      type="button"
      aria-haspopup="menu"
      aria-expanded={false}
      aria-label={props.name}
      className={`${choicesLook} ${props.className ?? ''}`}
      {...still}
    >
      {props.label}
    </button>
  );
}

/** One thing to do in a list of such, or to take away as a file. */
export function Do(props: DoProps) {
  const parts = useLater(headless, true);
  return parts === null ? null : <parts.Do {...props} />;
}
