import { useSortable } from '@dnd-kit/sortable';
import clsx from 'clsx';
import { useState } from 'react';
import { Choices, Do } from '../../../ui/Choices';
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

/** A block on its page: what it says, and what it has beside. */
export function BlockEditor({
  block,
  first,
  last,
  page,
  pages,
  actions,
}: {
  block: Block;
  first: boolean;
  last: boolean;
  page: number;
  pages: number;
  actions: BlockActions;
}) {
  const slot = isSlot(block);
  const kind = m.edit_kinds({ key: block.kind });
  const [forSome, setForSome] = useState(false);
  const isForSome = block.settings.part.seats.length > 0 || block.settings.part.role !== '';
  const { setNodeRef, setActivatorNodeRef, transform, transition, isDragging, attributes, listeners } = useSortable({
    id: block.id,
  });
  const label = slot ? m.edit_prompt() : m.edit_labels({ key: block.kind });
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
        <Choices label="…" name={m.edit_blockMenu({ kind })} className="!px-2 !py-0.5">
          {!first && <Do onPress={() => actions.move(-1)}>{m.edit_up()}</Do>}
          {!last && <Do onPress={() => actions.move(1)}>{m.edit_down()}</Do>}
          {Array.from({ length: pages }, (_, i) => i)
            .filter((i) => i !== page)
            .map((i) => (
              <Do key={i} onPress={() => actions.toPage(i)}>
                {m.edit_toPage({ n: i + 1 })}
              </Do>
            ))}
          {slot && !forSome && !isForSome && <Do onPress={() => setForSome(true)}>{m.edit_forSome()}</Do>}
          <Do onPress={actions.double}>{m.edit_double()}</Do>
          <Do onPress={actions.drop}>{m.edit_drop()}</Do>
        </Choices>
      </div>
      <div className="space-y-2">
        <textarea
          id={block.id}
          aria-label={label}
          placeholder={block.kind === 'text' ? m.edit_textHint() : label}
          rows={block.kind === 'text' ? 3 : 1}
          maxLength={20_000}
          value={block.text}
          onChange={(event) => actions.change({ ...block, text: event.target.value }, `${block.id}.text`)}
          className="block field-sizing-content max-h-96 min-h-10 w-full border border-ink bg-sheet px-2 py-1.5 leading-relaxed"
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
