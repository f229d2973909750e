import clsx from 'clsx';
import type { ReactNode } from 'react';

/** What is wider than the page, and can be moved through with the keys too. */
export function Sideways({ label, className, children }: { label: string; className?: string; children: ReactNode }) {
  return (
    // WCAG 2.1.1: a place that scrolls is reached with the keys.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- it scrolls
    <div className={clsx('overflow-x-auto', className)} tabIndex={0} role="group" aria-label={label}>
      {children}
    </div>
  );
}
