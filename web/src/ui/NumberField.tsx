import { useState } from 'react';
import { isProblem } from '../api/problem';
import { Field } from './Field';

/** A number that is saved when it is left, or with Enter. What the server does not take stays, with the reason. */
export function NumberField({
  label,
  value,
  min,
  max,
  onSave,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  onSave: (value: number) => Promise<unknown>;
}) {
  const [draft, setDraft] = useState(String(value));
  const [error, setError] = useState<string>();
  const save = () => {
    if (Number(draft) === value) {
      setError(undefined);
      return;
    }
    onSave(Math.round(Number(draft))).then(
      () => setError(undefined),
      (problem: unknown) => setError(isProblem(problem) ? problem.message : undefined),
    );
  };
  return (
    <Field
      label={label}
      type="number"
      min={min}
      max={max}
      value={draft}
      error={error}
      onChange={(e) => setDraft(e.target.value)}
      onBlur={save}
      onKeyDown={(e) => e.key === 'Enter' && save()}
    />
  );
}
