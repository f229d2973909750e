// A line to write in.
import clsx from 'clsx';
import { useId, type InputHTMLAttributes } from 'react';

interface FieldProps extends InputHTMLAttributes<HTMLInputElement> {
  label: string;
  error?: string | undefined;
  hint?: string;
}

/** A line to write in, with its label above and, where there is one, its error below. */
export function Field({ label, error, hint, className, ...rest }: FieldProps) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className="block text-sm font-semibold">
        {label}
      </label>
      <input
        id={id}
        aria-invalid={error !== undefined}
        aria-describedby={error !== undefined || hint !== undefined ? `${id}-note` : undefined}
        className={clsx(
          'mt-1 w-full border bg-sheet px-3 py-2',
          error === undefined ? 'border-ink' : 'border-2 border-lost',
        )}
        {...rest}
      />
      {(error ?? hint) !== undefined && (
        <p
          id={`${id}-note`}
          className={clsx('mt-1 text-sm', error === undefined ? 'text-soft' : 'font-semibold text-lost')}
        >
          {error ?? hint}
        </p>
      )}
    </div>
  );
}
