// Question: mark words of a text.
import clsx from 'clsx';
import { useRef, useState, type KeyboardEvent } from 'react';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { freshId, type BlockItem } from '../blocks';
import { things, without, written, type Mark, type Things } from '../things';
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

type Marks = Things<Mark>;

/** The ids of the marks that stand on a word. */
const marksOn = (marks: Marks, word: Word) =>
  Object.entries(marks)
    .filter(([, mark]) => mark.from < word.to && mark.to > word.from)
    .map(([id]) => id);

const textBetween = (passage: string, { from, to }: Mark) => Array.from(passage).slice(from, to).join('');

/** The kinds of marks, one of which the next mark is. */
function Kinds({ kinds, kind, onKind }: { kinds: BlockItem[]; kind: string; onKind: (kind: string) => void }) {
  return (
    <div role="radiogroup" aria-label={m.copy_markAs()} className="flex flex-wrap gap-2">
      {kinds.map((one) => (
        <button
          key={one.id}
          type="button"
          role="radio"
          aria-checked={kind === one.id}
          onClick={() => onKind(one.id)}
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
  );
}

interface PassageProps {
  parts: (Word | string)[];
  marks: Marks;
  kinds: BlockItem[];
  /** The mark that is open. */
  open: string | null;
  /** The word a mark begins with that has no end yet. */
  first: number | null;
  onPress: (index: number) => void;
  onLeave: () => void;
}

/** A word of the passage, as it is marked. */
function MarkedWord({
  word,
  marks,
  kinds,
  open,
  isFirst,
  isStop,
  onPress,
  onFocus,
  onKey,
}: Pick<PassageProps, 'marks' | 'kinds' | 'open'> & {
  word: Word;
  isFirst: boolean;
  /** The focus comes to it when the passage is entered. */
  isStop: boolean;
  onPress: () => void;
  onFocus: () => void;
  onKey: (event: KeyboardEvent) => void;
}) {
  const here = marksOn(marks, word);
  const last = here.at(-1);
  const shown = last === undefined ? undefined : marks[last];
  const names = here.map((id) => kinds.find((one) => one.id === marks[id]?.kind)?.text ?? '');
  return (
    <span
      data-word
      role="button"
      tabIndex={isStop ? 0 : -1}
      aria-label={names.length === 0 ? word.text : `${word.text}: ${names.join(', ')}`}
      onClick={onPress}
      onFocus={onFocus}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          onPress();
        } else onKey(event);
      }}
      className={clsx(
        'cursor-pointer rounded-none',
        shown !== undefined && 'bg-wash underline decoration-2 underline-offset-4',
        isFirst && 'bg-ink text-ground',
        here.includes(open ?? '') && 'bg-ink! text-ground',
      )}
      style={shown === undefined ? undefined : { textDecorationStyle: lineOf(kinds, shown.kind) }}
    >
      {word.text}
    </span>
  );
}

/** The passage: arrows go from word to word. */
function Passage({ parts, first, onPress, onLeave, ...look }: PassageProps) {
  const [focus, setFocus] = useState(0);
  const box = useRef<HTMLParagraphElement>(null);
  const count = parts.filter((part) => typeof part !== 'string').length;
  const go = (event: KeyboardEvent, index: number) => {
    const by = { [forwardKey()]: 1, ArrowDown: 1, [backKey()]: -1, ArrowUp: -1 }[event.key];
    if (event.key === 'Escape') onLeave();
    if (by === undefined) return;
    event.preventDefault();
    const to = Math.min(count - 1, Math.max(0, index + by));
    setFocus(to);
    box.current?.querySelectorAll<HTMLElement>('[data-word]')[to]?.focus();
  };
  let index = -1;
  return (
    <p ref={box} className="text-lg leading-loose whitespace-pre-wrap wrap-anywhere">
      {parts.map((part, i) => {
        if (typeof part === 'string') return part;
        index++;
        const n = index;
        return (
          <MarkedWord
            key={i}
            word={part}
            isFirst={first === n}
            isStop={n === focus}
            onPress={() => onPress(n)}
            onFocus={() => setFocus(n)}
            onKey={(event) => go(event, n)}
            {...look}
          />
        );
      })}
    </p>
  );
}

/** The mark that is open: a remark beside it, and the way to take it away. */
function OpenMark({
  mark,
  kinds,
  passage,
  onRemark,
  onRemove,
  onClose,
}: {
  mark: Mark;
  kinds: BlockItem[];
  passage: string;
  onRemark: (remark: string) => void;
  onRemove: () => void;
  onClose: () => void;
}) {
  return (
    <div className="border-2 border-ink bg-sheet p-3">
      <p className="font-semibold wrap-anywhere">
        {kinds.find((one) => one.id === mark.kind)?.text}: “{textBetween(passage, mark)}”
      </p>
      <label className="mt-2 block text-sm font-semibold">
        {m.copy_remark()}
        <textarea
          rows={1}
          maxLength={500}
          value={mark.remark ?? ''}
          onChange={(event) => onRemark(event.target.value)}
          className="mt-1 block field-sizing-content w-full resize-none border border-ink bg-sheet px-2 py-1.5 text-base font-normal"
        />
      </label>
      <p className="mt-2 flex gap-2">
        <Button onClick={onClose}>{m.copy_done()}</Button>
        <Button look="quiet" onClick={onRemove}>
          {m.copy_unmark()}
        </Button>
      </p>
    </div>
  );
}

function Remarks({ marks, passage }: { marks: Marks; passage: string }) {
  return (
    <ul className="space-y-1 text-sm">
      {Object.entries(marks)
        .filter(([, one]) => one.remark !== undefined)
        .sort(([, a], [, b]) => a.from - b.from)
        .map(([id, one]) => (
          <li key={id} className="border-s-4 border-ink ps-2 wrap-anywhere">
            <span className="text-soft">“{textBetween(passage, one)}”</span> {one.remark}
          </li>
        ))}
    </ul>
  );
}

/** A text in which words are marked: press the first word and the last, or draw over them. */
export default function MarkUp({ block, value, onChange }: FillProps) {
  const { heads: kinds, passage } = block.settings;
  const marks = things<Mark>(value);
  const parts = wordsOf(passage);
  const all = parts.filter((part): part is Word => typeof part !== 'string');
  const [kind, setKind] = useState(kinds[0]?.id ?? '');
  const [first, setFirst] = useState<number | null>(null);
  const [open, setOpen] = useState<string | null>(null);
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
    const [here] = marksOn(marks, word);
    if (first !== null) mark(first, index);
    else if (here !== undefined) setOpen(open === here ? null : here);
    else if (onChange !== null) setFirst(index);
  };
  const opened = open === null ? undefined : marks[open];
  return (
    <div className="space-y-3">
      {onChange !== null && <Kinds kinds={kinds} kind={kind} onKind={setKind} />}
      {onChange !== null && (
        <p className="text-sm text-soft" role="status">
          {first === null ? m.copy_markFirst() : m.copy_markLast({ word: all[first]?.text ?? '' })}
        </p>
      )}
      <Passage {...{ parts, marks, kinds, open, first }} onPress={press} onLeave={() => setFirst(null)} />
      {opened !== undefined && open !== null && onChange !== null && (
        <OpenMark
          mark={opened}
          kinds={kinds}
          passage={passage}
          onClose={() => setOpen(null)}
          onRemark={(remark) => {
            const { from, to, kind: of } = opened;
            onChange(written({ ...marks, [open]: { from, to, kind: of, ...(remark === '' ? {} : { remark }) } }));
          }}
          onRemove={() => {
            setOpen(null);
            onChange(written(without(marks, open)));
          }}
        />
      )}
      <Remarks marks={marks} passage={passage} />
    </div>
  );
}
