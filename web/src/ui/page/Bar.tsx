import type { ReactNode } from 'react';

/** A line above the page that asks or says one thing. */
export function Bar({ children }: { children: ReactNode }) {
  return (
    <div className="flex flex-wrap items-center gap-3 border-b border-ink bg-wash px-5 py-1.5 text-sm">{children}</div>
  );
}
