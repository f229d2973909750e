import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { Button } from '../../../ui/Button';
import { Choices, Do } from '../../../ui/Choices';
import * as m from '#messages';
import { firstItems } from '../kinds/firstItems';
import { kinds } from '../kinds/rules';
import { freshId, newBlock, type Block, type BlockKind, type Page } from '../blocks';
import { BlockEditor } from './BlockEditor';

/** A page as a sheet of paper, its blocks in their order. */
export function PageEditor({
  page,
  index,
  pages,
  onChange,
  onToPage,
  onDropBlock,
  onDrop,
  onFresh,
}: {
  page: Page;
  index: number;
  pages: number;
  onChange: (page: Page, about?: string) => void;
  onToPage: (block: Block, to: number) => void;
  onDropBlock: (block: Block) => void;
  onDrop: (() => void) | null;
  /** A block that is there to be written in next. */
  onFresh: (id: string) => void;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const { blocks } = page;
  const put = (next: Block[], about?: string) => onChange({ ...page, blocks: next }, about);
  const add = (kind: BlockKind) => {
    const block = newBlock(kind, firstItems());
    onFresh(block.id);
    put([...blocks, block]);
  };
  const title = m.edit_page({ n: index + 1 });
  return (
    <section
      aria-label={title}
      className="w-full max-w-xl min-w-72 flex-1 border border-ink bg-sheet shadow-[3px_3px_0_var(--line)]"
    >
      <header className="flex items-center gap-2 border-b border-line px-3 py-2">
        <span className="text-sm font-semibold whitespace-nowrap">{title}</span>
        <input
          value={page.title}
          maxLength={120}
          aria-label={m.edit_pageTitle()}
          placeholder={m.edit_pageTitle()}
          onChange={(event) => onChange({ ...page, title: event.target.value }, `${page.id}.title`)}
          className="min-w-0 flex-1 bg-transparent px-2 py-0.5 font-head"
        />
        {onDrop !== null && (
          <Button look="quiet" className="text-sm" onClick={onDrop}>
            {m.edit_dropPage()}
          </Button>
        )}
      </header>
      {blocks.length === 0 && <p className="px-4 pt-6 text-center text-soft">{m.edit_emptyPage()}</p>}
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => {
          const from = blocks.findIndex((block) => block.id === active.id);
          const to = blocks.findIndex((block) => block.id === over?.id);
          if (from >= 0 && to >= 0 && from !== to) put(arrayMove(blocks, from, to));
        }}
      >
        <SortableContext items={blocks.map((block) => block.id)} strategy={verticalListSortingStrategy}>
          <ul className="divide-y divide-line">
            {blocks.map((block, i) => (
              <BlockEditor
                key={block.id}
                block={block}
                first={i === 0}
                last={i === blocks.length - 1}
                page={index}
                pages={pages}
                actions={{
                  change: (next, about) =>
                    put(
                      blocks.map((one) => (one.id === block.id ? next : one)),
                      about,
                    ),
                  move: (by) => put(arrayMove(blocks, i, i + by)),
                  toPage: (to) => onToPage(block, to),
                  double: () => {
                    const more = { ...block, id: freshId('b') };
                    onFresh(more.id);
                    put([...blocks.slice(0, i + 1), more, ...blocks.slice(i + 1)]);
                  },
                  drop: () => onDropBlock(block),
                }}
              />
            ))}
          </ul>
        </SortableContext>
      </DndContext>
      <footer className="flex flex-wrap items-center gap-1.5 border-t border-line p-3">
        {(['text', 'each', 'together'] as const).map((kind) => (
          <Button key={kind} className="text-sm" onClick={() => add(kind)}>
            + {m.edit_kinds({ key: kind })}
          </Button>
        ))}
        <Choices label={<>+ …</>} name={m.edit_addTo({ page: index + 1 })} className="text-sm">
          {kinds
            .filter((kind) => kind !== 'text' && kind !== 'each' && kind !== 'together')
            .map((kind) => (
              <Do key={kind} onPress={() => add(kind)}>
                {m.edit_kinds({ key: kind })}
              </Do>
            ))}
        </Choices>
      </footer>
    </section>
  );
}
