// A number that is saved as it is typed.
import { useEffect, useRef, useState } from 'react';
import { isProblem } from '../../api/problem';
import { Field } from './Field';

const pause = 700;

/**
 * Saves what stands in the field; what the server does not take stays unsaved.
 *
 * @returns save: now; later: after a pause, or (false) only when it is asked for
 */
function useSaving(draft: string, value: number, onSave: (value: number) => Promise<unknown>) {
  const [error, setError] = useState<string>();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const latest = useRef({ draft, onSave, saved: value });
  useEffect(() => {
    latest.current = { ...latest.current, draft, onSave };
  });
  useEffect(() => {
    latest.current.saved = value;
  }, [value]);
  const [save] = useState(() => () => {
    clearTimeout(timer.current);
    timer.current = undefined;
    const number = Math.round(Number(latest.current.draft));
    const before = latest.current.saved;
    if (number === before) {
      setError(undefined);
      return;
    }
    latest.current.saved = number;
    latest.current.onSave(number).then(
      () => setError(undefined),
      (problem: unknown) => {
        latest.current.saved = before;
        setError(isProblem(problem) ? problem.message : undefined);
      },
    );
  });
  useEffect(() => {
    const leave = () => {
      if (timer.current !== undefined) save();
    };
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, [save]);
  const later = (isFit: boolean) => {
    clearTimeout(timer.current);
    timer.current = isFit ? setTimeout(save, pause) : undefined;
  };
  return { save, later, error };
}

/**
 * A number that is saved after a pause, when it is left, with Enter, and when the page goes away. What the server does
 * not take stays, with the reason.
 */
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
  const [inside, setInside] = useState(false);
  // What is changed elsewhere is taken over, though never under the hand of who types.
  const [known, setKnown] = useState(value);
  if (value !== known) {
    setKnown(value);
    if (!inside) setDraft(String(value));
  }
  const { save, later, error } = useSaving(draft, value, onSave);
  return (
    <Field
      label={label}
      type="number"
      min={min}
      max={max}
      value={draft}
      error={error}
      onChange={(e) => {
        const text = e.target.value;
        setDraft(text);
        // One that is out of bounds may be half typed: it is judged when the field is left.
        later(text.trim() !== '' && Number(text) >= min && Number(text) <= max);
      }}
      onFocus={() => setInside(true)}
      onBlur={() => {
        setInside(false);
        save();
      }}
      onKeyDown={(e) => e.key === 'Enter' && save()}
    />
  );
}
