// A list of short texts that belong to a block: cards, lines, options.
import { useEffect, useRef, type ClipboardEvent, type KeyboardEvent, type RefObject } from 'react';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
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

interface ItemsProps {
  title: string;
  add: string;
  items: BlockItem[];
  /** Headings, one of which may be the right one for each. */
  under?: BlockItem[];
  most: number;
  onChange: (items: BlockItem[]) => void;
}

/** Items made of pasted lines; a second column names the heading. */
const itemsFrom = (lines: [string, string][], under: BlockItem[] | undefined): BlockItem[] =>
  lines.map(([text, head]) => ({
    ...item(text.slice(0, 2_000)),
    under: under?.find((one) => one.text.trim().toLowerCase() === head.toLowerCase() && head !== '')?.id ?? '',
  }));

/** Changes of the list; after each the focus is in the line it was about. */
function useItems({ items, most, onChange }: ItemsProps, box: RefObject<HTMLUListElement | null>) {
  const focus = useRef<number | null>(null);
  useEffect(() => {
    if (focus.current === null) return;
    box.current?.querySelectorAll('textarea')[focus.current]?.focus();
    focus.current = null;
  }, [items, box]);
  /** Puts these in the place of so many. */
  const splice = (at: number, gone: number, more: BlockItem[], focusOn: number) => {
    focus.current = focusOn;
    onChange([...items.slice(0, at), ...more, ...items.slice(at + gone)].slice(0, most));
  };
  const insert = (at: number, more: BlockItem[], gone = 0) =>
    splice(at, gone, more, Math.min(most, at + more.length) - 1);
  return {
    insert,
    put: (i: number, change: Partial<BlockItem>) =>
      onChange(items.map((one, j) => (j === i ? { ...one, ...change } : one))),
    remove: (i: number) => splice(i, 1, [], Math.max(0, i - 1)),
    move: (i: number, by: number) => {
      const [one, other] = [items[i], items[i + by]];
      if (one === undefined || other === undefined) return;
      splice(Math.min(i, i + by), 2, by < 0 ? [one, other] : [other, one], i + by);
    },
  };
}

type List = ReturnType<typeof useItems>;

/** Enter begins the next line, Backspace in an empty one takes it out, Alt and arrows move it. */
function onLineKey(event: KeyboardEvent, list: List, i: number, text: string) {
  if (event.key === 'Enter' && !event.shiftKey) {
    event.preventDefault();
    list.insert(i + 1, [item()]);
  } else if (event.key === 'Backspace' && text === '') {
    event.preventDefault();
    list.remove(i);
  } else if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
    event.preventDefault();
    list.move(i, event.key === 'ArrowUp' ? -1 : 1);
  }
}

/** A list that is pasted becomes so many lines. */
function onLinePaste(event: ClipboardEvent, list: List, i: number, text: string, under: BlockItem[] | undefined) {
  const lines = linesOf(event.clipboardData.getData('text'));
  if (lines.length < 2) return;
  event.preventDefault();
  if (text === '') list.insert(i, itemsFrom(lines, under), 1);
  else list.insert(i + 1, itemsFrom(lines, under));
}

function ItemLine({
  one,
  i,
  title,
  under,
  list,
}: Pick<ItemsProps, 'title' | 'under'> & { one: BlockItem; i: number; list: List }) {
  return (
    <li className="flex items-start gap-1">
      <textarea
        aria-label={m.edit_nth({ title, n: i + 1 })}
        rows={1}
        value={one.text}
        maxLength={2_000}
        onChange={(event) => list.put(i, { text: event.target.value.replace(/\n/g, ' ') })}
        onKeyDown={(event) => onLineKey(event, list, i, one.text)}
        onPaste={(event) => onLinePaste(event, list, i, one.text, under)}
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
          onChange={(to) => list.put(i, { under: to })}
        />
      )}
      <Button look="quiet" aria-label={m.edit_takeOut({ text: one.text })} onClick={() => list.remove(i)}>
        ×
      </Button>
    </li>
  );
}

/** A list of short texts; for cards a second column of what is pasted names the heading. */
export function ItemsEditor(props: ItemsProps) {
  const { title, add, items, under, most } = props;
  const box = useRef<HTMLUListElement>(null);
  const list = useItems(props, box);
  return (
    <fieldset className="min-w-0">
      <legend className="text-sm font-semibold">{title}</legend>
      <ul ref={box} className="mt-1 space-y-1">
        {items.map((one, i) => (
          <ItemLine
            key={one.id}
            one={one}
            i={i}
            title={title}
            list={list}
            {...(under === undefined ? {} : { under })}
          />
        ))}
      </ul>
      {items.length < most && (
        <Button look="quiet" className="mt-1 text-sm" onClick={() => list.insert(items.length, [item()])}>
          {add}
        </Button>
      )}
    </fieldset>
  );
}
