import { DndContext, MouseSensor, TouchSensor, useDraggable, useDroppable, useSensor, useSensors } from '@dnd-kit/core';
import clsx from 'clsx';
import { useRef, useState, type ReactNode } from 'react';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { freshId, type BlockItem } from '../blocks';
import { between, things, without, written, type Card, type Things } from '../things';
import type { FillProps } from './FillProps';

const lying = '';

interface Shown {
  id: string;
  text: string;
  own: boolean;
}

/** The cards of a heading in their order; of '' those that lie nowhere yet. */
function under(head: string, given: BlockItem[], held: Things<Card>): Shown[] {
  const cards: (Shown & { place: number })[] = given
    .filter((card) => (held[card.id]?.under ?? lying) === head)
    .map((card) => ({ id: card.id, text: card.text, own: false, place: held[card.id]?.place ?? 0 }));
  for (const [id, card] of Object.entries(held))
    if (card.text !== undefined && card.under === head)
      cards.push({ id, text: card.text, own: true, place: card.place });
  return head === lying ? cards : cards.sort((a, b) => a.place - b.place || (a.id < b.id ? -1 : 1));
}

function CardTag({
  card,
  picked,
  onPick,
  onRemove,
}: {
  card: Shown;
  picked: boolean;
  onPick: (() => void) | null;
  onRemove: (() => void) | null;
}) {
  const { setNodeRef, transform, isDragging, listeners } = useDraggable({ id: card.id, disabled: onPick === null });
  const { x, y } = transform ?? { x: 0, y: 0 };
  return (
    <li
      ref={setNodeRef}
      className={clsx('relative flex max-w-full', isDragging && 'z-30')}
      style={{ transform: `translate(${x}px, ${y}px)` }}
    >
      <button
        type="button"
        disabled={onPick === null}
        aria-pressed={picked}
        onClick={() => onPick?.()}
        {...listeners}
        className={clsx(
          'min-h-11 touch-manipulation border-2 px-3 py-1.5 text-start wrap-anywhere text-ink disabled:cursor-default',
          picked ? 'border-ink bg-ink text-ground' : 'border-ink bg-sheet',
          isDragging && 'shadow-[4px_4px_0_var(--ink)]',
        )}
      >
        {card.text}
      </button>
      {onRemove !== null && picked && (
        <Button look="quiet" onClick={onRemove}>
          {m.copy_takeAway()}
        </Button>
      )}
    </li>
  );
}

function Heap({
  id,
  title,
  put,
  children,
}: {
  id: string;
  title: string;
  put: (() => void) | null;
  children: ReactNode;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: `heap:${id}` });
  return (
    <section
      ref={setNodeRef}
      aria-label={title}
      className={clsx('flex flex-col gap-2 border-2 p-2', isOver ? 'border-ink bg-wash' : 'border-line')}
    >
      <div className="flex min-h-9 items-center justify-between gap-2">
        <h3 className="min-w-0 font-sans font-semibold wrap-anywhere">{title}</h3>
        {put !== null && <Button onClick={put}>{m.copy_putHere()}</Button>}
      </div>
      <ul className="flex min-h-8 flex-wrap gap-1.5">{children}</ul>
    </section>
  );
}

/** Cards to be put under headings: press a card, then where it goes; or pull it there. */
export default function Sort({ block, value, onChange }: FillProps) {
  const { items, heads, growing } = block.settings;
  const held = things<Card>(value);
  const [picked, setPicked] = useState<string | null>(null);
  const [adding, setAdding] = useState('');
  const said = useRef<HTMLParagraphElement>(null);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
  );
  const textOf = (id: string) => held[id]?.text ?? items.find((card) => card.id === id)?.text ?? '';
  const put = (id: string, head: string) => {
    setPicked(null);
    if (onChange === null) return;
    if (head === lying) {
      if (held[id]?.text === undefined) onChange(written(without(held, id)));
      return;
    }
    const last = under(head, items, held)
      .filter((card) => card.id !== id)
      .at(-1);
    const text = held[id]?.text;
    const place = between(last === undefined ? undefined : held[last.id]?.place, undefined);
    onChange(written({ ...held, [id]: { place, under: head, ...(text === undefined ? {} : { text }) } }));
    if (said.current !== null) {
      const title = heads.find((one) => one.id === head)?.text ?? '';
      said.current.textContent = m.copy_putUnder({ card: textOf(id), head: title });
    }
  };
  const add = () => {
    const text = adding.trim();
    const head = heads[0];
    if (text === '' || head === undefined || onChange === null) return;
    const last = under(head.id, items, held).at(-1);
    onChange(
      written({
        ...held,
        [freshId('own')]: {
          place: between(last === undefined ? undefined : held[last.id]?.place, undefined),
          under: head.id,
          text,
        },
      }),
    );
    setAdding('');
  };
  const tags = (head: string) =>
    under(head, items, held).map((card) => (
      <CardTag
        key={card.id}
        card={card}
        picked={picked === card.id}
        onPick={onChange === null ? null : () => setPicked(picked === card.id ? null : card.id)}
        onRemove={
          card.own && onChange !== null
            ? () => {
                setPicked(null);
                onChange(written(without(held, card.id)));
              }
            : null
        }
      />
    ));
  const free = under(lying, items, held);
  const canPut = (head: string) => picked !== null && (held[picked]?.under ?? lying) !== head;
  return (
    <DndContext
      sensors={sensors}
      onDragStart={() => setPicked(null)}
      onDragEnd={({ active, over }) => {
        if (over !== null) put(String(active.id), String(over.id).slice('heap:'.length));
      }}
    >
      <div className="space-y-2">
        {(free.length > 0 || picked !== null) && (
          <Heap
            id={lying}
            title={m.copy_cardsToSort({ n: free.length })}
            put={canPut(lying) && picked !== null && held[picked]?.text === undefined ? () => put(picked, lying) : null}
          >
            {tags(lying)}
          </Heap>
        )}
        <div className="grid gap-2 sm:grid-cols-[repeat(auto-fit,minmax(11rem,1fr))]">
          {heads.map((head) => (
            <Heap
              key={head.id}
              id={head.id}
              title={head.text}
              put={canPut(head.id) && picked !== null ? () => put(picked, head.id) : null}
            >
              {tags(head.id)}
            </Heap>
          ))}
        </div>
        {growing && onChange !== null && (
          <form
            className="flex gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              add();
            }}
          >
            <input
              value={adding}
              maxLength={200}
              aria-label={m.copy_ownCard()}
              placeholder={m.copy_ownCard()}
              onChange={(event) => setAdding(event.target.value)}
              className="min-w-0 flex-1 border border-ink bg-sheet px-3 py-2"
            />
            <Button type="submit" disabled={adding.trim() === ''}>
              {m.copy_addCard()}
            </Button>
          </form>
        )}
        <p ref={said} role="status" className="sr-only" />
      </div>
    </DndContext>
  );
}
