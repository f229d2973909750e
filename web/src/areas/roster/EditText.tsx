import { useEffect, useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import { Button } from '../../ui/Button';
import * as m from '#messages';

/** A text that becomes a field when it is to be changed. Enter saves, Escape leaves it as it was. */
export function EditText({
  value,
  label,
  maxLength,
  onSave,
  as: As = 'span',
  inline = false,
  mayBeEmpty = false,
  shown = value,
  className,
  onNext,
  onLines,
}: {
  value: string;
  label: string;
  maxLength: number;
  onSave: (value: string) => void;
  as?: 'h1' | 'h3' | 'span';
  /** The text itself is what is pressed; for long lists. */
  inline?: boolean;
  mayBeEmpty?: boolean;
  /** What stands there while it is not being changed. */
  shown?: string;
  className?: string;
  /** Where Enter goes on after it has saved; else the focus stays here. @returns false where there is no next */
  onNext?: ((field: Element) => boolean) | undefined;
  /** Several lines were pasted: they are for this text and those after it. */
  onLines?: ((lines: string[]) => void) | undefined;
}) {
  const [draft, setDraft] = useState<string | null>(null);
  const text = useRef<HTMLButtonElement>(null);
  /** By keyboard: the focus goes on where it was. */
  const stays = useRef(false);
  useEffect(() => {
    if (draft !== null || !stays.current) return;
    stays.current = false;
    text.current?.focus();
  }, [draft]);
  const finish = () => {
    if (draft !== null && (mayBeEmpty || draft.trim() !== '') && draft.trim() !== value) onSave(draft.trim());
    setDraft(null);
  };
  const key = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== 'Escape') return;
    event.preventDefault();
    const goesOn = event.key === 'Enter' && onNext?.(event.currentTarget) === true;
    stays.current = !goesOn;
    if (event.key === 'Enter') finish();
    else setDraft(null);
  };
  const paste = (event: ClipboardEvent) => {
    const lines = event.clipboardData
      .getData('text')
      .replace(/\r?\n$/, '')
      .split(/\r?\n/);
    if (onLines === undefined || lines.length < 2) return;
    event.preventDefault();
    setDraft(null);
    onLines(lines.map((line) => line.trim()));
  };
  if (draft !== null) {
    return (
      <input
        // The field appears because the person asked for it.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        aria-label={label}
        value={draft}
        maxLength={maxLength}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={finish}
        onKeyDown={key}
        onPaste={paste}
        className="w-full min-w-0 border border-ink bg-sheet px-2 py-1"
      />
    );
  }
  if (inline) {
    return (
      <button
        ref={text}
        type="button"
        aria-label={label}
        title={label}
        onClick={() => setDraft(value)}
        className="min-h-6 w-full min-w-6 text-start wrap-anywhere hover:bg-wash"
      >
        {shown}
      </button>
    );
  }
  return (
    <div className="flex min-w-0 items-baseline gap-2">
      <As className={`min-w-0 wrap-anywhere ${className ?? ''}`}>{value}</As>
      <Button ref={text} look="quiet" className="text-sm text-soft" aria-label={label} onClick={() => setDraft(value)}>
        {m.roster_edit()}
      </Button>
    </div>
  );
}
