// Question: sort cards under headings.
import { DndContext, MouseSensor, TouchSensor, useDraggable, useDroppable, useSensor, useSensors } from '@dnd-kit/core';
import clsx from 'clsx';
import { useRef, useState, type ReactNode, type RefObject } from 'react';
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

/** The place behind the last card under a heading, other than this one. */
function lastPlace(head: string, given: BlockItem[], held: Things<Card>, except = ''): number {
  const last = under(head, given, held)
    .filter((card) => card.id !== except)
    .at(-1);
  return between(last === undefined ? undefined : held[last.id]?.place, undefined);
}

/** The cards under a heading, as tags. */
function Tags({
  cards,
  picked,
  onPick,
  onRemove,
}: {
  cards: Shown[];
  picked: string | null;
  /** Null where nothing can be changed. */
  onPick: ((card: string | null) => void) | null;
  onRemove: (card: string) => void;
}) {
  return cards.map((card) => (
    <CardTag
      key={card.id}
      card={card}
      picked={picked === card.id}
      onPick={onPick === null ? null : () => onPick(picked === card.id ? null : card.id)}
      onRemove={card.own && onPick !== null ? () => onRemove(card.id) : null}
    />
  ));
}

function AddCard({ onAdd }: { onAdd: (text: string) => void }) {
  const [text, setText] = useState('');
  return (
    <form
      className="flex gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() === '') return;
        onAdd(text.trim());
        setText('');
      }}
    >
      <input
        value={text}
        maxLength={200}
        aria-label={m.copy_ownCard()}
        placeholder={m.copy_ownCard()}
        onChange={(event) => setText(event.target.value)}
        className="min-w-0 flex-1 border border-ink bg-sheet px-3 py-2"
      />
      <Button type="submit" disabled={text.trim() === ''}>
        {m.copy_addCard()}
      </Button>
    </form>
  );
}

/** Puts cards under headings, takes own ones away, adds more. */
function useCards({ block, value, onChange }: FillProps, said: RefObject<HTMLParagraphElement | null>) {
  const { items, heads } = block.settings;
  const held = things<Card>(value);
  const [picked, setPicked] = useState<string | null>(null);
  const textOf = (id: string) => held[id]?.text ?? items.find((card) => card.id === id)?.text ?? '';
  const put = (id: string, head: string) => {
    setPicked(null);
    if (onChange === null) return;
    const text = held[id]?.text;
    if (head === lying) {
      if (text === undefined) onChange(written(without(held, id)));
      return;
    }
    const place = lastPlace(head, items, held, id);
    onChange(written({ ...held, [id]: { place, under: head, ...(text === undefined ? {} : { text }) } }));
    const title = heads.find((one) => one.id === head)?.text ?? '';
    said.current?.replaceChildren(m.copy_putUnder({ card: textOf(id), head: title }));
  };
  return {
    held,
    picked,
    setPicked,
    put,
    under: (head: string) => under(head, items, held),
    remove: (id: string) => {
      setPicked(null);
      onChange?.(written(without(held, id)));
    },
    add: (text: string) => {
      const [head] = heads;
      if (head === undefined) return;
      const card = { place: lastPlace(head.id, items, held), under: head.id, text };
      onChange?.(written({ ...held, [freshId('own')]: card }));
    },
    /** What puts the picked card under a heading; null: it is there, or none is picked. */
    putHere: (head: string) => {
      if (picked === null || (held[picked]?.under ?? lying) === head) return null;
      if (head === lying && held[picked]?.text !== undefined) return null;
      return () => put(picked, head);
    },
  };
}

/** Cards to be put under headings: press a card, then where it goes; or pull it there. */
export default function Sort(props: FillProps) {
  const { heads, growing } = props.block.settings;
  const mayChange = props.onChange !== null;
  const said = useRef<HTMLParagraphElement>(null);
  const cards = useCards(props, said);
  const { picked, setPicked } = cards;
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
  );
  const tags = (head: string) => (
    <Tags cards={cards.under(head)} picked={picked} onPick={mayChange ? setPicked : null} onRemove={cards.remove} />
  );
  const free = cards.under(lying).length;
  return (
    <DndContext
      sensors={sensors}
      onDragStart={() => setPicked(null)}
      onDragEnd={({ active, over }) => {
        if (over !== null) cards.put(String(active.id), String(over.id).slice('heap:'.length));
      }}
    >
      <div className="space-y-2">
        {(free > 0 || picked !== null) && (
          <Heap id={lying} title={m.copy_cardsToSort({ n: free })} put={cards.putHere(lying)}>
            {tags(lying)}
          </Heap>
        )}
        <div className="grid gap-2 sm:grid-cols-[repeat(auto-fit,minmax(11rem,1fr))]">
          {heads.map((head) => (
            <Heap key={head.id} id={head.id} title={head.text} put={cards.putHere(head.id)}>
              {tags(head.id)}
            </Heap>
          ))}
        </div>
        {growing && mayChange && <AddCard onAdd={cards.add} />}
        <p ref={said} role="status" className="sr-only" />
      </div>
    </DndContext>
  );
}
