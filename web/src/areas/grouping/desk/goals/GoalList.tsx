// The goals of a grouping, in the order they count, and how far each is met.
import { Choices, Do } from '../../../../ui/fields/Choices';
import { DndContext, PointerSensor, closestCenter, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, arrayMove, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { useEffect, useRef } from 'react';
import type { Schema } from '../../../../api/client';
import * as m from '#messages';
import { dragWords } from '../../../../ui/drag/dragWords';
import { goalKey, goalName, possibleGoals } from './goalName';
import { MetBar } from './MetBar';
import type { Desk, Goal } from '../useDesk';

type Standing = Schema['GoalStandingView'];

/** How far a goal is met, as a bar and in words. */
function StandingLine({ standing, name }: { standing: Standing; name: string }) {
  const { unit, met, count, of, summary, obstacle } = standing;
  return (
    <>
      <MetBar met={met} label={name} />
      <p className="mt-0.5 text-xs text-soft">
        {unit !== 'share' && of > 0
          ? m.desk_metOf({ unit, met: count, all: of })
          : met >= 1
            ? m.desk_metFully()
            : m.desk_met({ percent: Math.round(100 * met) })}
        {summary === '' && obstacle !== '' && <>: {obstacle}</>}
        {summary !== '' && <span className="block text-ink">{summary}</span>}
      </p>
    </>
  );
}

function Row({
  goal,
  standing,
  first,
  last,
  onMove,
  onDrop,
}: {
  goal: Goal;
  standing: Standing | undefined;
  first: boolean;
  last: boolean;
  onMove: (by: number) => void;
  onDrop: () => void;
}) {
  const { setNodeRef, listeners, transform, isDragging } = useSortable({ id: goalKey(goal) });
  const name = goalName(goal);
  const small = 'min-h-6 min-w-6 px-1 text-sm hover:bg-wash disabled:opacity-30';
  return (
    <li
      ref={setNodeRef}
      data-goal={goalKey(goal)}
      style={transform === null ? undefined : { transform: `translateY(${transform.y}px)` }}
      className={`border border-ink bg-sheet px-2 py-1.5 ${isDragging ? 'relative z-10 shadow-lg' : ''}`}
    >
      <div className="flex items-center gap-1">
        <span className="min-w-0 flex-1 cursor-grab touch-none font-semibold wrap-anywhere" {...listeners}>
          {name}
        </span>
        <button
          type="button"
          className={small}
          disabled={first}
          aria-label={m.desk_earlier({ name })}
          onClick={() => onMove(-1)}
        >
          ↑
        </button>
        <button
          type="button"
          className={small}
          disabled={last}
          aria-label={m.desk_later({ name })}
          onClick={() => onMove(1)}
        >
          ↓
        </button>
        <button type="button" className={small} aria-label={m.desk_dropGoal({ name })} onClick={onDrop}>
          ×
        </button>
      </div>
      {standing !== undefined && <StandingLine standing={standing} name={name} />}
    </li>
  );
}

/** After a goal has moved, the focus is on the same button of it. */
function useFocusAfterMove(goals: Goal[]) {
  const list = useRef<HTMLOListElement>(null);
  /** The goal that has just been moved, and which of its buttons was pressed. */
  const moved = useRef<{ key: string; button: number } | null>(null);
  useEffect(() => {
    if (moved.current === null) return;
    const { key, button } = moved.current;
    moved.current = null;
    const rows = [...(list.current?.querySelectorAll<HTMLElement>('[data-goal]') ?? [])];
    const buttons = [...(rows.find((row) => row.dataset.goal === key)?.querySelectorAll('button') ?? [])];
    // At the end of the list that button has nothing more to do; the one beside it has.
    [buttons[button], ...buttons].find((one) => one !== undefined && !one.disabled)?.focus();
  }, [goals]);
  return {
    list,
    focusOn: (goal: Goal, button: number) => {
      moved.current = { key: goalKey(goal), button };
    },
  };
}

interface GoalsProps {
  goals: Goal[];
  standings: Standing[];
  onGoals: (goals: Goal[]) => void;
}

/** The goals there are, to be dragged or moved by buttons. */
function Goals({ goals, standings, onGoals }: GoalsProps) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const { list, focusOn } = useFocusAfterMove(goals);
  const keys = goals.map(goalKey);
  const end = ({ active, over }: DragEndEvent) => {
    if (over !== null && active.id !== over.id)
      onGoals(arrayMove(goals, keys.indexOf(String(active.id)), keys.indexOf(String(over.id))));
  };
  const announcements = dragWords((id) => {
    const goal = goals[keys.indexOf(String(id))];
    return goal === undefined ? '' : goalName(goal);
  });
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={end} accessibility={{ announcements }}>
      <SortableContext items={keys} strategy={verticalListSortingStrategy}>
        <ol ref={list} className="mt-2 space-y-1.5">
          {goals.map((goal, i) => (
            <Row
              key={goalKey(goal)}
              goal={goal}
              standing={standings[i]}
              first={i === 0}
              last={i === goals.length - 1}
              onMove={(by) => {
                focusOn(goal, by < 0 ? 0 : 1);
                onGoals(arrayMove(goals, i, i + by));
              }}
              onDrop={() => {
                const beside = goals[i + 1] ?? goals[i - 1];
                if (beside !== undefined) focusOn(beside, 2);
                onGoals(goals.filter((one) => one !== goal));
              }}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

/** The goals in the teacher's order, each with a bar that says how far it is met. */
export function GoalList({ desk, ...shown }: GoalsProps & { desk: Desk }) {
  const { goals, onGoals } = shown;
  const possible = possibleGoals(
    desk.attributes,
    desk.tags,
    goals,
    desk.rules.some((rule) => rule.kind === 'wish'),
  );
  return (
    <section aria-label={m.desk_goals()}>
      <h2 className="text-lg font-semibold">{m.desk_goals()}</h2>
      <p className="text-sm text-soft">{goals.length === 0 ? m.desk_goalsNone() : m.desk_goalsLead()}</p>
      <Goals {...shown} />
      <Choices label={m.desk_addGoal()} className="mt-2 w-full text-start text-sm">
        {possible.map((goal) => (
          <Do key={goalKey(goal)} onPress={() => onGoals([...goals, goal])}>
            {goalName(goal)}
          </Do>
        ))}
      </Choices>
      {desk.attributes.length + desk.tags.length === 0 && (
        <p className="mt-1 text-xs text-soft">{m.desk_goalNeedsList()}</p>
      )}
    </section>
  );
}
