// A button.
import clsx from 'clsx';
import type { ComponentProps } from 'react';

interface ButtonProps extends ComponentProps<'button'> {
  /** `main`: the one thing to do next. `plain`: anything else. `quiet`: without an edge. */
  look?: 'main' | 'plain' | 'quiet';
  busy?: boolean;
}

const looks = {
  main: 'bg-accent text-on-accent border-2 border-ink font-semibold px-5 py-2.5 shadow-[3px_3px_0_var(--ink)] active:translate-x-[3px] active:translate-y-[3px] active:shadow-none',
  plain: 'bg-sheet border border-ink px-3 py-1.5 hover:bg-wash',
  quiet: 'min-h-6 px-2 py-1 underline decoration-line underline-offset-4 hover:decoration-ink',
};

/** While it is busy it takes no press, and keeps the focus: whoever works by keyboard goes on from where they are. */
export function Button({ look = 'plain', busy = false, className, onClick, children, ...rest }: ButtonProps) {
  return (
    <button
      type="button"
      className={clsx(
        'disabled:opacity-45 disabled:shadow-none',
        looks[look],
        busy && 'opacity-45 shadow-none!',
        className,
      )}
      aria-busy={busy}
      aria-disabled={busy || undefined}
      {...rest}
      onClick={(event) => (busy ? event.preventDefault() : onClick?.(event))}
    >
      {children}
    </button>
  );
}
