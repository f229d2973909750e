// A text that is changed where it stands.
import { useEffect, useRef, useState, type ClipboardEvent, type KeyboardEvent, type RefObject } from 'react';
import { Button } from '../../ui/Button';
import * as m from '#messages';

interface FieldProps {
  draft: string;
  label: string;
  maxLength: number;
  onDraft: (text: string) => void;
  /** Keeps what was written. */
  onFinish: () => void;
  /** Leaves it as it was. */
  onLeave: () => void;
  /** By keyboard: the focus goes on where it was. */
  onStay: (stays: boolean) => void;
  /** Where Enter goes on after it has saved; else the focus stays here. @returns false where there is no next */
  onNext?: ((field: Element) => boolean) | undefined;
  /** Several lines were pasted: they are for this text and those after it. */
  onLines?: ((lines: string[]) => void) | undefined;
}

/** Enter saves, Escape leaves it as it was. */
function EditField({ draft, label, maxLength, onDraft, onFinish, onLeave, onStay, onNext, onLines }: FieldProps) {
  const key = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== 'Escape') return;
    event.preventDefault();
    const goesOn = event.key === 'Enter' && onNext?.(event.currentTarget) === true;
    onStay(!goesOn);
    if (event.key === 'Enter') onFinish();
    else onLeave();
  };
  const paste = (event: ClipboardEvent) => {
    const lines = event.clipboardData
      .getData('text')
      .replace(/\r?\n$/, '')
      .split(/\r?\n/);
    if (onLines === undefined || lines.length < 2) return;
    event.preventDefault();
    onLeave();
    onLines(lines.map((line) => line.trim()));
  };
  return (
    <input
      // The field appears because the person asked for it.
      // eslint-disable-next-line jsx-a11y/no-autofocus
      autoFocus
      aria-label={label}
      value={draft}
      maxLength={maxLength}
      onChange={(event) => onDraft(event.target.value)}
      onBlur={onFinish}
      onKeyDown={key}
      onPaste={paste}
      className="w-full min-w-0 border border-ink bg-sheet px-2 py-1"
    />
  );
}

/** The text, and what is pressed to change it. */
function ShownText({
  text,
  value,
  shown,
  label,
  as: As,
  inline,
  className,
  onEdit,
}: {
  text: RefObject<HTMLButtonElement | null>;
  value: string;
  shown: string;
  label: string;
  as: 'h1' | 'h3' | 'span';
  inline: boolean;
  className: string;
  onEdit: () => void;
}) {
  if (inline) {
    return (
      <button
        ref={text}
        type="button"
        aria-label={label}
        title={label}
        onClick={onEdit}
        className="min-h-6 w-full min-w-6 text-start wrap-anywhere hover:bg-wash"
      >
        {shown}
      </button>
    );
  }
  return (
    <div className="flex min-w-0 items-baseline gap-2">
      <As className={`min-w-0 wrap-anywhere ${className}`}>{value}</As>
      <Button ref={text} look="quiet" className="text-sm text-soft" aria-label={label} onClick={onEdit}>
        {m.roster_edit()}
      </Button>
    </div>
  );
}

/** A text that becomes a field when it is to be changed. */
export function EditText({
  value,
  label,
  maxLength,
  onSave,
  as = 'span',
  inline = false,
  mayBeEmpty = false,
  shown = value,
  className = '',
  onNext,
  onLines,
}: Pick<FieldProps, 'label' | 'maxLength' | 'onNext' | 'onLines'> & {
  value: string;
  onSave: (value: string) => void;
  as?: 'h1' | 'h3' | 'span';
  /** The text itself is what is pressed; for long lists. */
  inline?: boolean;
  mayBeEmpty?: boolean;
  /** What stands there while it is not being changed. */
  shown?: string;
  className?: string;
}) {
  const [draft, setDraft] = useState<string | null>(null);
  const text = useRef<HTMLButtonElement>(null);
  const stays = useRef(false);
  useEffect(() => {
    if (draft !== null || !stays.current) return;
    stays.current = false;
    text.current?.focus();
  }, [draft]);
  if (draft === null)
    return <ShownText {...{ text, value, shown, label, as, inline, className }} onEdit={() => setDraft(value)} />;
  const finish = () => {
    if ((mayBeEmpty || draft.trim() !== '') && draft.trim() !== value) onSave(draft.trim());
    setDraft(null);
  };
  return (
    <EditField
      {...{ draft, label, maxLength, onNext, onLines }}
      onDraft={setDraft}
      onFinish={finish}
      onLeave={() => setDraft(null)}
      onStay={(focusStays) => {
        stays.current = focusStays;
      }}
    />
  );
}
