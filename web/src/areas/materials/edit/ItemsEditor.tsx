import { useEffect, useRef, type ClipboardEvent, type KeyboardEvent } from 'react';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import * as m from '#messages';
import { item, type BlockItem } from '../blocks';

/** Lines of a paste: rows of a table give their first two columns. */
function linesOf(text: string): [string, string][] {
  return text
    .split(/\r?\n/)
    .map((line) => line.split(line.includes('\t') ? '\t' : line.includes(';') ? ';' : '\u0000'))
    .map(([one = '', two = '']): [string, string] => [one.trim().replace(/^"(.*)"$/, '$1'), two.trim()])
    .filter(([one]) => one !== '');
}

/**
 * A list of short texts. Enter begins the next one, Backspace in an empty one takes it out, and a list that is pasted
 * becomes so many lines; for cards a second column names the heading.
 */
export function ItemsEditor({
  title,
  add,
  items,
  under,
  most,
  onChange,
}: {
  title: string;
  add: string;
  items: BlockItem[];
  /** Headings, one of which may be the right one for each. */
  under?: BlockItem[];
  most: number;
  onChange: (items: BlockItem[]) => void;
}) {
  const box = useRef<HTMLUListElement>(null);
  const focus = useRef<number | null>(null);
  useEffect(() => {
    if (focus.current === null) return;
    box.current?.querySelectorAll('textarea')[focus.current]?.focus();
    focus.current = null;
  }, [items]);
  const put = (i: number, change: Partial<BlockItem>) =>
    onChange(items.map((one, j) => (j === i ? { ...one, ...change } : one)));
  const insert = (at: number, more: BlockItem[]) => {
    focus.current = Math.min(most, at + more.length) - 1;
    onChange([...items.slice(0, at), ...more, ...items.slice(at)].slice(0, most));
  };
  const remove = (i: number) => {
    focus.current = Math.max(0, i - 1);
    onChange(items.filter((_, j) => j !== i));
  };
  const move = (i: number, by: number) => {
    const to = i + by;
    if (to < 0 || to >= items.length) return;
    const next = [...items];
    const [one] = next.splice(i, 1);
    if (one !== undefined) next.splice(to, 0, one);
    focus.current = to;
    onChange(next);
  };
  const key = (event: KeyboardEvent, i: number, text: string) => {
    if (event.key === 'Enter' && !event.shiftKey) {
      event.preventDefault();
      insert(i + 1, [item()]);
    } else if (event.key === 'Backspace' && text === '') {
      event.preventDefault();
      remove(i);
    } else if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      event.preventDefault();
      move(i, event.key === 'ArrowUp' ? -1 : 1);
    }
  };
  const paste = (event: ClipboardEvent, i: number, text: string) => {
    const lines = linesOf(event.clipboardData.getData('text'));
    if (lines.length < 2) return;
    event.preventDefault();
    const made = lines.map(([one, head]) => ({
      ...item(one.slice(0, 2_000)),
      under: under?.find((two) => two.text.trim().toLowerCase() === head.toLowerCase() && head !== '')?.id ?? '',
    }));
    if (text === '') {
      focus.current = Math.min(most, i + made.length) - 1;
      onChange([...items.slice(0, i), ...made, ...items.slice(i + 1)].slice(0, most));
    } else insert(i + 1, made);
  };
  return (
    <fieldset className="min-w-0">
      <legend className="text-sm font-semibold">{title}</legend>
      <ul ref={box} className="mt-1 space-y-1">
        {items.map((one, i) => (
          <li key={one.id} className="flex items-start gap-1">
            <textarea
              aria-label={m.edit_nth({ title, n: i + 1 })}
              rows={1}
              value={one.text}
              maxLength={2_000}
              onChange={(event) => put(i, { text: event.target.value.replace(/\n/g, ' ') })}
              onKeyDown={(event) => key(event, i, one.text)}
              onPaste={(event) => paste(event, i, one.text)}
              className="field-sizing-content min-w-0 flex-1 resize-none border border-line bg-sheet px-2 py-1"
            />
            {under !== undefined && under.length > 0 && (
              <Choice
                hidden
                label={m.edit_rightHead({ text: one.text })}
                className="w-32 shrink-0 text-sm"
                value={one.under}
                options={[
                  { value: '', label: m.edit_noRightHead() },
                  ...under.map((head) => ({ value: head.id, label: head.text })),
                ]}
                onChange={(to) => put(i, { under: to })}
              />
            )}
            <Button look="quiet" aria-label={m.edit_takeOut({ text: one.text })} onClick={() => remove(i)}>
              ×
            </Button>
          </li>
        ))}
      </ul>
      {items.length < most && (
        <Button look="quiet" className="mt-1 text-sm" onClick={() => insert(items.length, [item()])}>
          {add}
        </Button>
      )}
    </fieldset>
  );
}
