import clsx from 'clsx';
import type { ReactNode } from 'react';
import { roomWindow } from '../../../ui/roomWindow';

/** The one large button: it leads to where the student belongs now. */
export function GoButton({ children, plain = false }: { children: ReactNode; plain?: boolean }) {
  return (
    <a
      href="/api/student/room"
      target={roomWindow}
      className={clsx(
        'block border-2 border-ink px-5 text-center text-xl font-semibold wrap-anywhere',
        plain
          ? 'bg-sheet py-2.5'
          : 'bg-accent py-5 text-on-accent shadow-[4px_4px_0_var(--ink)] active:translate-x-1 active:translate-y-1 active:shadow-none',
      )}
    >
      {children}
    </a>
  );
}
