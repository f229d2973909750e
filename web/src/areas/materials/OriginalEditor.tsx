import { useEffect, useRef } from 'react';
import { freshKey, type Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { useMessages } from '../../ui/messages';
import { words } from '../../words';
import { useOriginal } from './useOriginal';

type Block = Schema['BlockView'];

function BlockEditor({
  block,
  first,
  last,
  onText,
  onMove,
  onDrop,
}: {
  block: Block;
  first: boolean;
  last: boolean;
  onText: (text: string) => void;
  onMove: (by: number) => void;
  onDrop: () => void;
}) {
  const slot = block.kind !== 'text';
  return (
    <li className={`border-l-8 bg-sheet p-4 ${slot ? 'border-accent' : 'border-line'}`}>
      <div className="mb-2 flex items-baseline gap-3 text-sm">
        <span className="font-semibold">{words.original.kinds[block.kind]}</span>
        <span className="ml-auto flex gap-1">
          <Button look="quiet" disabled={first} onClick={() => onMove(-1)}>
            {words.original.up}
          </Button>
          <Button look="quiet" disabled={last} onClick={() => onMove(1)}>
            {words.original.down}
          </Button>
          <Button look="quiet" onClick={onDrop}>
            {words.original.drop}
          </Button>
        </span>
      </div>
      <textarea
        id={block.id}
        aria-label={slot ? words.original.prompt : words.original.textLabel}
        placeholder={slot ? words.original.prompt : undefined}
        rows={slot ? 2 : Math.min(12, Math.max(3, block.text.split('\n').length + 2))}
        maxLength={20_000}
        value={block.text}
        onChange={(event) => onText(event.target.value)}
        className="w-full border border-ink bg-sheet px-3 py-2 leading-relaxed"
      />
    </li>
  );
}

/** Where the teacher writes the original of a round. */
export function OriginalEditor({ lesson }: { lesson: Schema['LessonView'] }) {
  const { draft, change, saving, error, theirs, keepMine, takeTheirs } = useOriginal(lesson, words.original.untitled);
  const { say } = useMessages();
  const { blocks } = draft;
  const fresh = useRef<string | null>(null);
  const add = (kind: Block['kind']) => {
    const id = `b${freshKey().slice(0, 8)}`;
    fresh.current = id;
    change({ ...draft, blocks: [...blocks, { id, kind, text: '' }] });
  };
  // What was added is what is written next.
  useEffect(() => {
    if (fresh.current === null) return;
    document.getElementById(fresh.current)?.focus();
    fresh.current = null;
  }, [blocks]);
  const move = (i: number, by: number) => {
    const next = [...blocks];
    const [moved] = next.splice(i, 1);
    if (moved !== undefined) next.splice(i + by, 0, moved);
    change({ ...draft, blocks: next });
  };
  const drop = (i: number) => {
    const before = draft;
    change({ ...draft, blocks: blocks.filter((_, j) => j !== i) });
    say(words.original.dropped, () => change(before));
  };
  return (
    <div className="floor-paper flex-1 overflow-y-auto p-6">
      <div className="mx-auto max-w-2xl">
        <p className="mb-4 text-soft">{words.original.lead}</p>
        <div className="flex items-end gap-4">
          <Field
            className="flex-1"
            label={words.original.name}
            value={draft.title}
            maxLength={120}
            onChange={(event) => change({ ...draft, title: event.target.value })}
          />
          <span className="pb-2 text-sm text-soft" role="status">
            {words.original[saving]}
          </span>
        </div>
        {theirs !== null && (
          <div role="alert" className="mt-3 border-2 border-ink bg-wash p-3">
            <p className="font-semibold">{words.original.twoWindows}</p>
            <p className="mt-2 flex flex-wrap gap-2">
              <Button onClick={keepMine}>{words.original.keepMine}</Button>
              <Button
                onClick={() => {
                  const mine = takeTheirs();
                  if (mine !== undefined) say(words.original.tookTheirs, () => change(mine));
                }}
              >
                {words.original.takeTheirs}
              </Button>
            </p>
          </div>
        )}
        {error !== undefined && <p className="mt-2 font-semibold text-lost">{error}</p>}
        {blocks.length === 0 && <p className="py-10 text-center text-soft">{words.original.none}</p>}
        <ul className="mt-4 space-y-3">
          {blocks.map((block, i) => (
            <BlockEditor
              key={block.id}
              block={block}
              first={i === 0}
              last={i === blocks.length - 1}
              onText={(text) =>
                change({ ...draft, blocks: blocks.map((one, j) => (j === i ? { ...one, text } : one)) })
              }
              onMove={(by) => move(i, by)}
              onDrop={() => drop(i)}
            />
          ))}
        </ul>
        <div className="mt-4 flex flex-wrap gap-2">
          <Button onClick={() => add('text')}>{words.original.addText}</Button>
          <Button onClick={() => add('each')}>{words.original.addEach}</Button>
          <Button onClick={() => add('together')}>{words.original.addTogether}</Button>
        </div>
        {blocks.length > 0 && !blocks.some((block) => block.kind !== 'text') && (
          <p className="mt-3 text-sm text-soft">{words.original.needsSlot}</p>
        )}
      </div>
    </div>
  );
}
