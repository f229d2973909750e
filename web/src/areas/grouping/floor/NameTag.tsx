// The tag of a student on the floor.
import clsx from 'clsx';
import { useContext } from 'react';
import type { Schema } from '../../../api/client';
import * as m from '#messages';
import { Draggable, Droppable, type DragListeners } from '../../../ui/drag/Drag';
import { LensContext } from '../lens';
import { useStop } from './roving';

export type Student = Schema['SeatedStudent'];

interface NameTagProps {
  student: Student;
  /** The group's name; null on the shelf. */
  group: string | null;
  fixed: boolean;
  /** While a round is on, a tag shows whether the student is really there. */
  live: boolean;
  picked: boolean;
  dense?: boolean;
  onOpen: (student: Student, at: DOMRect) => void;
}

const looks: Record<Student['place'] | 'notArrived', string> = {
  inPlace: 'border-2 border-solid border-ink bg-sheet font-semibold',
  onTheWay: 'border-2 border-dashed border-ink bg-transparent',
  elsewhere: 'border-2 border-dashed border-soft bg-transparent text-soft',
  leftBehind: 'border-2 border-dashed border-ink bg-transparent',
  lost: 'border-2 border-dashed border-lost bg-transparent text-lost',
  notArrived: 'border-2 border-dotted border-soft bg-transparent text-soft',
  excused: 'border-2 border-dotted border-line bg-transparent text-soft line-through',
};

/** Lost is who was here and has gone; who has not come today has not arrived. */
export function placeOf(student: Student): Student['place'] | 'notArrived' {
  return student.place === 'lost' && student.because === 'never' ? 'notArrived' : student.place;
}

/** They have come, before anybody is sent anywhere. */
export function hasArrived(student: Student): boolean {
  return student.place !== 'lost' && student.place !== 'excused';
}

/** How a tag looks: solid where the student is in place, an outline where they are missing. */
export function tagLook(student: Student, live: boolean): string {
  if (live) return looks[placeOf(student)];
  if (student.absent) return looks.excused;
  return hasArrived(student) ? 'border border-s-[6px] border-ink bg-sheet font-semibold' : 'border border-ink bg-sheet';
}

/** A student's name: it can be dragged, and another can be dropped on it. */
export function NameTag(props: NameTagProps) {
  const { id } = props.student;
  return (
    <Draggable id={id}>
      {(dragged) => (
        <Droppable id={`tag:${id}`}>
          {(dropped) => (
            <Tag
              {...props}
              place={(node) => {
                dragged.ref(node);
                dropped.ref(node);
              }}
              listeners={dragged.listeners}
              isDragging={dragged.dragging}
              isOver={dropped.over}
            />
          )}
        </Droppable>
      )}
    </Draggable>
  );
}

interface TagProps extends NameTagProps {
  place: (node: HTMLElement | null) => void;
  listeners: DragListeners;
  isDragging: boolean;
  isOver: boolean;
}

function Tag(props: TagProps) {
  const { student, group, fixed, live, picked, dense = false, onOpen, place, listeners, isDragging, isOver } = props;
  const stop = useStop(`tag:${student.id}`);
  const seen = useContext(LensContext)(student.id);
  return (
    <button
      type="button"
      ref={place}
      {...stop}
      aria-label={
        m.floor_tag({ name: student.name, place: group ?? m.floor_onShelf(), fixed: String(fixed) }) +
        (live ? `, ${m.live_place({ key: placeOf(student) })}` : hasArrived(student) ? `, ${m.live_arrivedTag()}` : '')
      }
      aria-haspopup="dialog"
      onClick={(event) => onOpen(student, event.currentTarget.getBoundingClientRect())}
      {...listeners}
      className={clsx(
        'relative touch-manipulation text-start leading-tight select-none',
        dense ? 'w-full px-1.5 py-0.5 text-sm' : 'flex min-h-11 w-full min-w-30 items-center px-2 py-1 text-sm',
        tagLook(student, live),
        isDragging && 'opacity-30',
        isOver && !isDragging && 'ring-4 ring-ink',
        picked && 'ring-4 ring-ink',
      )}
    >
      <span className="min-w-0">
        <span className={clsx('wrap-anywhere', dense ? 'line-clamp-1' : 'line-clamp-3')}>{student.name}</span>
        {seen !== '' && <span className="block truncate text-xs text-soft">{seen}</span>}
      </span>
      {fixed && (
        <svg viewBox="0 0 10 10" className="absolute -top-1.5 -inset-e-1.5 size-3.5" aria-hidden="true">
          <circle cx="5" cy="5" r="4.500" fill="var(--ink)" />
          <circle cx="5" cy="5" r="1.600" fill="var(--sheet)" />
        </svg>
      )}
    </button>
  );
}
