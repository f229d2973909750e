// The groups of a share-out in their order, each with its time.
import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import clsx from 'clsx';
import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choices, Do } from '../../ui/fields/Choices';
import { dragWords } from '../../ui/drag/dragWords';
import { Sign } from '../../ui/signs/Sign';
import * as m from '#messages';
import { lasting } from '../../words/lasting';
import { list } from '../../words/list';
import { useArrange, useBeginTurn, useEditTurn, type Debrief } from './useDebrief';

type Turn = Debrief['turns'][number];

const isNow = (turn: Turn) => turn.begunAt !== null && turn.endedAt === null;
const isToCome = (turn: Turn) => turn.begunAt === null;

interface RowProps {
  turn: Turn;
  looked: boolean;
  onLook: () => void;
  onBegin: () => void;
  onShare: (share: number) => void;
  onDrop: () => void;
}

/** A turn: pressed it shows its work; its menu lets it report now, gives it more time, or takes it out. */
function TurnRow({ turn, looked, onLook, onBegin, onShare, onDrop }: RowProps) {
  const { setNodeRef, attributes, listeners, transform, isDragging } = useSortable({
    id: turn.id,
    disabled: !isToCome(turn),
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: transform === null ? undefined : `translateY(${transform.y}px)` }}
      className={clsx(
        'relative flex items-center gap-2 border bg-sheet',
        looked ? 'border-ink ring-2 ring-ink' : 'border-line',
        isDragging && 'z-20 shadow-[3px_3px_0_var(--ink)]',
        !isToCome(turn) && !isNow(turn) && 'text-soft',
      )}
    >
      {isToCome(turn) && (
        <button
          type="button"
          {...attributes}
          {...listeners}
          aria-label={m.debrief_move({ group: turn.name })}
          className="cursor-grab touch-none py-3 ps-2 text-soft"
        >
          <svg viewBox="0 0 8 16" className="h-4 w-2" aria-hidden="true">
            <path d="M1 3h6M1 8h6M1 13h6" stroke="currentColor" strokeWidth="1.500" />
          </svg>
        </button>
      )}
      <button
        type="button"
        aria-pressed={looked}
        onClick={onLook}
        className="flex min-w-0 flex-1 items-center gap-2 px-2 py-2 text-start"
      >
        <Sign mark={turn.mark} size={18} />
        <span className={clsx('min-w-0 flex-1 wrap-anywhere', isNow(turn) && 'font-bold')}>{turn.name}</span>
        <span className="shrink-0 text-sm text-soft tabular-nums">
          {isNow(turn)
            ? m.debrief_isSharing()
            : isToCome(turn)
              ? lasting(turn.forMs / 1_000)
              : m.debrief_hasShared({ time: lasting(turn.forMs / 1_000) })}
        </span>
      </button>
      <Choices label="⋯" name={m.debrief_moreOf({ group: turn.name })} className="border-0! px-2!">
        {!isNow(turn) && <Do onPress={onBegin}>{m.debrief_shareNow()}</Do>}
        {isToCome(turn) && <Do onPress={() => onShare(Math.min(9, turn.share + 1))}>{m.debrief_moreTime()}</Do>}
        {isToCome(turn) && turn.share > 1 && <Do onPress={() => onShare(turn.share - 1)}>{m.debrief_lessTime()}</Do>}
        {isToCome(turn) && <Do onPress={onDrop}>{m.debrief_leaveOut()}</Do>}
      </Choices>
    </li>
  );
}

/** Where the order comes from, and who does not share. */
function Arranging({ lesson, turns }: { lesson: Schema['LessonView']; turns: Turn[] }) {
  const arrange = useArrange(lesson.id);
  const left = lesson.floor.groups.filter(
    (group) => group.students.length > 0 && !turns.some((turn) => turn.groupId === group.id),
  );
  return (
    <p className="mt-3 flex flex-wrap gap-2 text-sm">
      <Button look="quiet" busy={arrange.isPending} onClick={() => arrange.mutate({ order: 'drawn', groups: [] })}>
        {m.debrief_drawAgain()}
      </Button>
      <Button look="quiet" onClick={() => arrange.mutate({ order: 'byProgress', groups: [] })}>
        {m.debrief_byProgress()}
      </Button>
      {left.length > 0 && (
        <span className="text-soft">{m.debrief_notSharing({ groups: list(left.map((one) => one.name)) })}</span>
      )}
    </p>
  );
}

/** The list, to be put in order by hand, drawn anew, or by progress. */
export function Turns({
  lesson,
  debrief,
  looked,
  onLook,
}: {
  lesson: Schema['LessonView'];
  debrief: Debrief;
  looked: string | null;
  onLook: (turn: string) => void;
}) {
  const { turns } = debrief;
  const arrange = useArrange(lesson.id);
  const begin = useBeginTurn(lesson.id);
  const edit = useEditTurn(lesson.id);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const byHand = (next: Turn[]) => arrange.mutate({ order: 'byHand', groups: next.map((turn) => turn.groupId) });
  const nameOf = (id: string | number) => turns.find((turn) => turn.id === id)?.name ?? '';
  const now = turns.find(isNow)?.id ?? null;
  return (
    <nav aria-label={m.debrief_order()} className="shrink-0 lg:w-72 lg:overflow-y-auto">
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={{ announcements: dragWords(nameOf) }}
        onDragEnd={({ active, over }) => {
          const from = turns.findIndex((turn) => turn.id === active.id);
          const to = turns.findIndex((turn) => turn.id === over?.id);
          if (from >= 0 && to >= 0 && from !== to) byHand(arrayMove(turns, from, to));
        }}
      >
        <SortableContext items={turns.map((turn) => turn.id)} strategy={verticalListSortingStrategy}>
          <ol className="space-y-1">
            {turns.map((turn) => (
              <TurnRow
                key={turn.id}
                turn={turn}
                looked={turn.id === looked}
                onLook={() => onLook(turn.id)}
                onBegin={() => begin.mutate({ now, turn: turn.id })}
                onShare={(share) => edit.mutate({ turn: turn.id, share })}
                onDrop={() => byHand(turns.filter((one) => one.id !== turn.id))}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <Arranging lesson={lesson} turns={turns} />
    </nav>
  );
}
