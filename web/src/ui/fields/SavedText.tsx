// Lines of text that are saved as they are typed.
import { useEffect, useId, useRef, useState } from 'react';

const pause = 700;

/** Saves what was typed: after a pause, at once, and when the page goes away with something unsaved. */
function useSaving(draft: string, value: string, onSave: (value: string) => Promise<unknown>) {
  const saved = useRef(value);
  const latest = useRef({ draft, onSave });
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => {
    latest.current = { draft, onSave };
  });
  const [save] = useState(() => () => {
    clearTimeout(timer.current);
    const text = latest.current.draft;
    if (text === saved.current) return;
    const before = saved.current;
    saved.current = text;
    latest.current.onSave(text).catch(() => (saved.current = before));
  });
  useEffect(() => {
    window.addEventListener('pagehide', save);
    return () => {
      window.removeEventListener('pagehide', save);
      save();
    };
  }, [save]);
  const later = () => {
    clearTimeout(timer.current);
    timer.current = setTimeout(save, pause);
  };
  return { save, later };
}

/**
 * Lines that are saved as they are typed: after a pause, when the field is left, and when the page goes away with
 * something unsaved in it.
 */
export function SavedText({
  label,
  hint,
  value,
  maxLength,
  rows = 4,
  onSave,
}: {
  label: string;
  hint?: string;
  value: string;
  maxLength: number;
  rows?: number;
  onSave: (value: string) => Promise<unknown>;
}) {
  const id = useId();
  const [draft, setDraft] = useState(value);
  const { save, later } = useSaving(draft, value, onSave);
  return (
    <div>
      <label htmlFor={id} className="block text-sm font-semibold">
        {label}
      </label>
      <textarea
        id={id}
        rows={rows}
        maxLength={maxLength}
        value={draft}
        aria-describedby={hint === undefined ? undefined : `${id}-note`}
        onChange={(event) => {
          setDraft(event.target.value);
          later();
        }}
        onBlur={save}
        className="mt-1 w-full border border-ink bg-sheet px-2 py-1.5"
      />
      {hint !== undefined && (
        <p id={`${id}-note`} className="text-sm text-soft">
          {hint}
        </p>
      )}
    </div>
  );
}
