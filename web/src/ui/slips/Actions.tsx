import clsx from 'clsx';
import type { ReactNode } from 'react';

/** A section of a menu, with a heading. Its actions all have the same shape. */
export function ActionSection({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="border-t-2 border-ink pt-2 not-last:mb-4">
      <h3 className="mb-1 font-sans text-sm font-semibold text-soft">{title}</h3>
      <div className="flex flex-col">{children}</div>
    </section>
  );
}

/** One action of a menu, as wide as the menu. */
export function Action({
  onPress,
  pressed,
  label,
  children,
}: {
  onPress: () => void;
  /** Set for actions that are on or off. */
  pressed?: boolean | undefined;
  /** The accessible name, if the text alone isn't enough. */
  label?: string | undefined;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      onClick={onPress}
      aria-label={label}
      aria-pressed={pressed}
      className={clsx(
        'flex min-h-9 w-full items-center gap-2 px-2 py-1.5 text-start wrap-anywhere',
        pressed === true ? 'bg-ink text-ground' : 'hover:bg-wash',
      )}
    >
      {children}
    </button>
  );
}
