import clsx from 'clsx';
import { useRef, useState, type KeyboardEvent } from 'react';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { freshId, type BlockItem } from '../blocks';
import { things, without, written, type Mark } from '../things';
import type { FillProps } from './FillProps';
import { backKey, forwardKey } from '../../../ui/direction';

interface Word {
  text: string;
  /** In code points, from the beginning of the passage. */
  from: number;
  to: number;
}

/** The passage in words, each with the signs that stand on it, and what stands between them. */
function wordsOf(passage: string): (Word | string)[] {
  let at = 0;
  return (passage.match(/\s+|[^\s]+/gu) ?? []).map((text) => {
    const from = at;
    at += Array.from(text).length;
    return /\s/u.test(text) ? text : { text, from, to: at };
  });
}

/** A way of underlining for each kind: told apart without colour. */
const lines = ['solid', 'double', 'dotted', 'dashed', 'wavy'] as const;
const lineOf = (kinds: BlockItem[], kind: string) => lines[kinds.findIndex((one) => one.id === kind) % lines.length];

/** A text in which words are marked: press the first word and the last, or draw over them. */
export default function MarkUp({ block, value, onChange }: FillProps) {
  const { heads: kinds, passage } = block.settings;
  const marks = things<Mark>(value);
  const parts = wordsOf(passage);
  const all = parts.filter((part): part is Word => typeof part !== 'string');
  const [kind, setKind] = useState(kinds[0]?.id ?? '');
  const [first, setFirst] = useState<number | null>(null);
  const [open, setOpen] = useState<string | null>(null);
  const [focus, setFocus] = useState(0);
  const box = useRef<HTMLParagraphElement>(null);
  const at = (word: Word) =>
    Object.entries(marks)
      .filter(([, mark]) => mark.from < word.to && mark.to > word.from)
      .map(([id]) => id);
  const mark = (a: number, b: number) => {
    const [low, high] = [all[Math.min(a, b)], all[Math.max(a, b)]];
    setFirst(null);
    if (low === undefined || high === undefined || onChange === null) return;
    const id = freshId('m');
    onChange(written({ ...marks, [id]: { from: low.from, to: high.to, kind } }));
    setOpen(id);
  };
  const press = (index: number) => {
    const word = all[index];
    if (word === undefined) return;
    const here = at(word);
    if (first !== null) mark(first, index);
    else if (here[0] !== undefined) setOpen(open === here[0] ? null : here[0]);
    else if (onChange !== null) setFirst(index);
  };
  const key = (event: KeyboardEvent, index: number) => {
    const by = { [forwardKey()]: 1, ArrowDown: 1, [backKey()]: -1, ArrowUp: -1 }[event.key];
    if (event.key === 'Escape') setFirst(null);
    if (by === undefined) return;
    event.preventDefault();
    const to = Math.min(all.length - 1, Math.max(0, index + by));
    setFocus(to);
    box.current?.querySelectorAll<HTMLElement>('[data-word]')[to]?.focus();
  };
  const opened = open === null ? undefined : marks[open];
  let index = -1;
  return (
    <div className="space-y-3">
      {onChange !== null && (
        <div role="radiogroup" aria-label={m.copy_markAs()} className="flex flex-wrap gap-2">
          {kinds.map((one) => (
            <button
              key={one.id}
              type="button"
              role="radio"
              aria-checked={kind === one.id}
              onClick={() => setKind(one.id)}
              className={clsx(
                'min-h-11 border-2 border-ink px-3',
                kind === one.id ? 'bg-ink font-semibold text-ground' : 'bg-sheet',
              )}
            >
              <span
                className="underline decoration-2 underline-offset-4"
                style={{ textDecorationStyle: lineOf(kinds, one.id) }}
              >
                {one.text}
              </span>
            </button>
          ))}
        </div>
      )}
      {onChange !== null && (
        <p className="text-sm text-soft" role="status">
          {first === null ? m.copy_markFirst() : m.copy_markLast({ word: all[first]?.text ?? '' })}
        </p>
      )}
      <p ref={box} className="text-lg leading-loose whitespace-pre-wrap wrap-anywhere">
        {parts.map((part, i) => {
          if (typeof part === 'string') return part;
          index++;
          const n = index;
          const here = at(part);
          const last = here.at(-1);
          const shown = last === undefined ? undefined : marks[last];
          const names = here.map((id) => kinds.find((one) => one.id === marks[id]?.kind)?.text ?? '');
          return (
            <span
              key={i}
              data-word
              role="button"
              tabIndex={n === focus ? 0 : -1}
              aria-label={names.length === 0 ? part.text : `${part.text}: ${names.join(', ')}`}
              onClick={() => press(n)}
              onFocus={() => setFocus(n)}
              onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === ' ') {
                  event.preventDefault();
                  press(n);
                } else key(event, n);
              }}
              className={clsx(
                'cursor-pointer rounded-none',
                shown !== undefined && 'bg-wash underline decoration-2 underline-offset-4',
                first === n && 'bg-ink text-ground',
                here.includes(open ?? '') && 'bg-ink! text-ground',
              )}
              style={shown === undefined ? undefined : { textDecorationStyle: lineOf(kinds, shown.kind) }}
            >
              {part.text}
            </span>
          );
        })}
      </p>
      {opened !== undefined && open !== null && onChange !== null && (
        <div className="border-2 border-ink bg-sheet p-3">
          <p className="font-semibold wrap-anywhere">
            {kinds.find((one) => one.id === opened.kind)?.text}: “
            {Array.from(passage).slice(opened.from, opened.to).join('')}”
          </p>
          <label className="mt-2 block text-sm font-semibold">
            {m.copy_remark()}
            <textarea
              rows={1}
              maxLength={500}
              value={opened.remark ?? ''}
              onChange={(event) => {
                const { from, to, kind: of } = opened;
                const remark = event.target.value;
                onChange(written({ ...marks, [open]: { from, to, kind: of, ...(remark === '' ? {} : { remark }) } }));
              }}
              className="mt-1 block field-sizing-content w-full resize-none border border-ink bg-sheet px-2 py-1.5 text-base font-normal"
            />
          </label>
          <p className="mt-2 flex gap-2">
            <Button onClick={() => setOpen(null)}>{m.copy_done()}</Button>
            <Button
              look="quiet"
              onClick={() => {
                setOpen(null);
                onChange(written(without(marks, open)));
              }}
            >
              {m.copy_unmark()}
            </Button>
          </p>
        </div>
      )}
      <ul className="space-y-1 text-sm">
        {Object.entries(marks)
          .filter(([, one]) => one.remark !== undefined)
          .sort(([, a], [, b]) => a.from - b.from)
          .map(([id, one]) => (
            <li key={id} className="border-s-4 border-ink ps-2 wrap-anywhere">
              <span className="text-soft">“{Array.from(passage).slice(one.from, one.to).join('')}”</span> {one.remark}
            </li>
          ))}
      </ul>
    </div>
  );
}
