// One block of a worksheet that is being written.
import { useSortable } from '@dnd-kit/sortable';
import clsx from 'clsx';
import { useState } from 'react';
import { Choices, Do } from '../../../ui/fields/Choices';
import * as m from '#messages';
import type { Block } from '../blocks';
import { isSlot } from '../kinds/rules';
import { SlotSettings } from './SlotSettings';

export interface BlockActions {
  change: (block: Block, about?: string) => void;
  move: (by: number) => void;
  toPage: (page: number) => void;
  double: () => void;
  drop: () => void;
}

/** Where a block stands. */
interface Where {
  first: boolean;
  last: boolean;
  page: number;
  pages: number;
}

/** @param props.onForSome makes it a place for some members only; null where it is not to be had */
function BlockMenu({
  kind,
  where: { first, last, page, pages },
  actions,
  onForSome,
}: {
  kind: string;
  where: Where;
  actions: BlockActions;
  onForSome: (() => void) | null;
}) {
  const others = Array.from({ length: pages }, (_, i) => i).filter((i) => i !== page);
  return (
    <Choices label="…" name={m.edit_blockMenu({ kind })} className="!px-2 !py-0.5">
      {!first && <Do onPress={() => actions.move(-1)}>{m.edit_up()}</Do>}
      {!last && <Do onPress={() => actions.move(1)}>{m.edit_down()}</Do>}
      {others.map((i) => (
        <Do key={i} onPress={() => actions.toPage(i)}>
          {m.edit_toPage({ n: i + 1 })}
        </Do>
      ))}
      {onForSome !== null && <Do onPress={onForSome}>{m.edit_forSome()}</Do>}
      <Do onPress={actions.double}>{m.edit_double()}</Do>
      <Do onPress={actions.drop}>{m.edit_drop()}</Do>
    </Choices>
  );
}

/** What a block says. */
function BlockText({ block, label, onText }: { block: Block; label: string; onText: (text: string) => void }) {
  const isText = block.kind === 'text';
  return (
    <textarea
      id={block.id}
      aria-label={label}
      placeholder={isText ? m.edit_textHint() : label}
      rows={isText ? 3 : 1}
      maxLength={20_000}
      value={block.text}
      onChange={(event) => onText(event.target.value)}
      className="block field-sizing-content max-h-96 min-h-10 w-full border border-ink bg-sheet px-2 py-1.5 leading-relaxed"
    />
  );
}

/** A block on its page: what it says, and what it has beside. */
export function BlockEditor({
  block,
  first,
  last,
  page,
  pages,
  actions,
}: Where & { block: Block; actions: BlockActions }) {
  const slot = isSlot(block);
  const kind = m.edit_kinds({ key: block.kind });
  const [forSome, setForSome] = useState(false);
  const isForSome = block.settings.part.seats.length > 0 || block.settings.part.role !== '';
  const { setNodeRef, setActivatorNodeRef, transform, transition, isDragging, attributes, listeners } = useSortable({
    id: block.id,
  });
  const { x = 0, y = 0 } = transform ?? {};
  return (
    <li
      ref={setNodeRef}
      className={clsx(
        'border-s-8 bg-sheet py-3 pe-3 ps-3',
        slot ? 'border-ink' : 'border-line',
        isDragging && 'relative z-20 shadow-[4px_4px_0_var(--ink)]',
      )}
      style={{ transform: `translate(${x}px, ${y}px)`, transition }}
    >
      <div className="mb-1.5 flex items-center gap-2 text-sm">
        <button
          type="button"
          ref={setActivatorNodeRef}
          aria-label={m.edit_hold({ kind })}
          className="min-h-6 min-w-6 cursor-grab touch-none text-soft"
          {...attributes}
          {...listeners}
        >
          ⠿
        </button>
        <span className="min-w-0 flex-1 font-semibold">{kind}</span>
        <BlockMenu
          kind={kind}
          where={{ first, last, page, pages }}
          actions={actions}
          onForSome={slot && !forSome && !isForSome ? () => setForSome(true) : null}
        />
      </div>
      <div className="space-y-2">
        <BlockText
          block={block}
          label={slot ? m.edit_prompt() : m.edit_labels({ key: block.kind })}
          onText={(text) => actions.change({ ...block, text }, `${block.id}.text`)}
        />
        <SlotSettings
          block={block}
          part={slot && (forSome || isForSome)}
          onChange={(settings, about) => actions.change({ ...block, settings }, about)}
        />
      </div>
    </li>
  );
}
