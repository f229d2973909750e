// One page of a worksheet that is being written.
import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { Button } from '../../../ui/Button';
import { Choices, Do } from '../../../ui/fields/Choices';
import * as m from '#messages';
import { firstItems } from '../kinds/firstItems';
import { kinds } from '../kinds/rules';
import { freshId, newBlock, type Block, type BlockKind, type Page } from '../blocks';
import { BlockEditor, type BlockActions } from './BlockEditor';

interface PageProps {
  page: Page;
  index: number;
  pages: number;
  onChange: (page: Page, about?: string) => void;
  onToPage: (block: Block, to: number) => void;
  onDropBlock: (block: Block) => void;
  /** A block that is there to be written in next. */
  onFresh: (id: string) => void;
}

/** Its title; where there are several, it can be taken out. */
function PageHead({
  page,
  title,
  onChange,
  onDrop,
}: Pick<PageProps, 'page' | 'onChange'> & { title: string; onDrop: (() => void) | null }) {
  return (
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
  );
}

type Put = (blocks: Block[], about?: string) => void;

/** What can be done with the block at a place. */
function actionsAt(
  { page: { blocks }, onToPage, onDropBlock, onFresh }: PageProps,
  block: Block,
  i: number,
  put: Put,
): BlockActions {
  return {
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
  };
}

/** The blocks of a page, to be dragged into another order. */
function Blocks({ put, ...props }: PageProps & { put: Put }) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const { blocks } = props.page;
  return (
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
              page={props.index}
              pages={props.pages}
              actions={actionsAt(props, block, i, put)}
            />
          ))}
        </ul>
      </SortableContext>
    </DndContext>
  );
}

const often = ['text', 'each', 'together'] as const;
const seldom = kinds.filter((kind) => !often.some((one) => one === kind));

/** What can be added: the usual kinds with one press, all others in a list. */
function AddBlock({ index, onAdd }: { index: number; onAdd: (kind: BlockKind) => void }) {
  return (
    <footer className="flex flex-wrap items-center gap-1.5 border-t border-line p-3">
      {often.map((kind) => (
        <Button key={kind} className="text-sm" onClick={() => onAdd(kind)}>
          + {m.edit_kinds({ key: kind })}
        </Button>
      ))}
      <Choices label={<>+ …</>} name={m.edit_addTo({ page: index + 1 })} className="text-sm">
        {seldom.map((kind) => (
          <Do key={kind} onPress={() => onAdd(kind)}>
            {m.edit_kinds({ key: kind })}
          </Do>
        ))}
      </Choices>
    </footer>
  );
}

/** A page as a sheet of paper, its blocks in their order. */
export function PageEditor({ onDrop, ...props }: PageProps & { onDrop: (() => void) | null }) {
  const { page, index, onChange, onFresh } = props;
  const put: Put = (blocks, about) => onChange({ ...page, blocks }, about);
  const title = m.edit_page({ n: index + 1 });
  return (
    <section
      aria-label={title}
      className="w-full max-w-xl min-w-72 flex-1 border border-ink bg-sheet shadow-[3px_3px_0_var(--line)]"
    >
      <PageHead page={page} title={title} onChange={onChange} onDrop={onDrop} />
      {page.blocks.length === 0 && <p className="px-4 pt-6 text-center text-soft">{m.edit_emptyPage()}</p>}
      <Blocks {...props} put={put} />
      <AddBlock
        index={index}
        onAdd={(kind) => {
          const block = newBlock(kind, firstItems());
          onFresh(block.id);
          put([...page.blocks, block]);
        }}
      />
    </section>
  );
}
