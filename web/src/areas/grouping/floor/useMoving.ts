// Name tags are put elsewhere, by pointer or keyboard; what was done is said.
import { useEffect, useRef, useState, type FocusEvent, type KeyboardEvent, type RefObject } from 'react';
import type { Schema } from '../../../api/client';
import { dragWords } from '../../../ui/drag/dragWords';
import * as m from '#messages';
import { list } from '../../../words/list';
import type { Edit } from './floorMoves';
import { nearest, type Direction } from './layout/nearest';
import type { Seating } from './seating';
import type { Effect } from './Table';

interface Options {
  floor: Schema['FloorView'];
  seating: Seating;
  readOnly: boolean;
  effects: ReadonlyMap<string, Effect> | undefined;
  onEdit: (edit: Edit) => void;
  /** A tag is held, or none is. */
  onHold: ((student: string | null) => void) | undefined;
}

const stopOf = (target: EventTarget) =>
  (target instanceof Element ? target.closest('[data-stop]')?.getAttribute('data-stop') : null) ?? null;

/** What a change is called aloud; null: nothing. */
function wordsOf(change: Edit, { nameOf, groupName }: Seating): string | null {
  const name = nameOf(change.student ?? '');
  if (change.kind === 'seat') return m.floor_seated({ name, group: groupName(change.group ?? '') });
  if (change.kind === 'swap') return m.floor_swapped({ a: name, b: nameOf(change.other ?? '') });
  return change.kind === 'shelve' ? m.floor_shelved({ name }) : null;
}

/** The change that puts a student where a stop says: on a table, in another's seat, on the shelf; null: none. */
function editAt(student: string, stop: string, { groupOf }: Seating): Edit | null {
  const [kind, id = ''] = stop.split(':');
  const own = groupOf(student);
  if (kind === 'table' && own?.id !== id) return { kind: 'seat', student, group: id };
  if (kind === 'shelf' && own !== undefined) return { kind: 'shelve', student };
  if (kind !== 'tag' || id === student || (groupOf(id) === undefined && own === undefined)) return null;
  return { kind: 'swap', student, other: id };
}

/** Names of what is dragged and of what it is over. */
const namesFor = ({ nameOf, groupName }: Seating) =>
  dragWords((id) => {
    const [kind, key] = String(id).split(':');
    if (id === 'shelf') return m.floor_shelf();
    return kind === 'table' ? groupName(key ?? '') : nameOf(key ?? kind ?? '');
  });

/** Changes the floor, says what was done, and takes the focus to where the tag went. */
function useEdit({ floor, seating, onEdit }: Options, frame: RefObject<HTMLDivElement | null>) {
  const [spoken, setSpoken] = useState('');
  const goesTo = useRef<string | null>(null);
  useEffect(() => {
    if (goesTo.current === null) return;
    frame.current?.querySelector<HTMLElement>(`[data-stop="${goesTo.current}"]`)?.focus({ preventScroll: true });
    goesTo.current = null;
  }, [floor, frame]);
  const edit = (change: Edit) => {
    onEdit(change);
    const words = wordsOf(change, seating);
    if (words !== null) setSpoken(words);
    if (change.student != null) goesTo.current = `tag:${change.student}`;
  };
  return { spoken, setSpoken, edit };
}

/** Takes the focus to the next stop in a direction. @returns that stop */
function goOn(frame: HTMLElement | null, target: Element, direction: Direction): string {
  const stops = [...(frame?.querySelectorAll<HTMLElement>('[data-stop]') ?? [])];
  const boxes = stops.map((one) => one.getBoundingClientRect());
  const next = stops[nearest(target.getBoundingClientRect(), boxes, direction)];
  next?.focus();
  return next?.getAttribute('data-stop') ?? '';
}

/** Where the focus comes to when the floor is entered: the stop it was at last, or the first table. */
function tabStopOf({ groups }: Schema['FloorView'], { stops }: Seating, last: string): string {
  if (stops.has(last)) return last;
  return groups[0] === undefined ? 'shelf' : `table:${groups[0].id}`;
}

/** Space picks a tag up and puts it down, arrows go on, Escape puts it back. */
function useKeysOf(
  options: Options,
  frame: RefObject<HTMLDivElement | null>,
  put: (student: string, stop: string) => void,
  setSpoken: (words: string) => void,
) {
  const { seating, readOnly, effects, onHold } = options;
  const [picked, setPicked] = useState<string | null>(null);
  const pick = (student: string | null) => {
    setPicked(student);
    onHold?.(student);
  };
  const space = (stop: string) => {
    if (picked !== null) {
      put(picked, stop);
      pick(null);
    } else if (stop.startsWith('tag:')) {
      pick(stop.slice(4));
      setSpoken(m.floor_picked({ name: seating.nameOf(stop.slice(4)) }));
    }
  };
  const arrow = (event: KeyboardEvent) => {
    const next = goOn(frame.current, event.target as Element, event.key as Direction);
    const breaks = effects?.get(seating.groupAtStop(next))?.breaks ?? [];
    if (picked !== null && breaks.length > 0) setSpoken(m.floor_wouldBreak({ rules: list(breaks) }));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const stop = stopOf(event.target);
    if (stop === null) return;
    if (event.key === ' ' && !readOnly) {
      event.preventDefault();
      space(stop);
    } else if (event.key === 'Escape' && picked !== null) {
      pick(null);
      setSpoken(m.floor_putBack());
    } else if (event.key.startsWith('Arrow')) {
      event.preventDefault();
      arrow(event);
    }
  };
  return { picked, onKeyDown };
}

/** @param frame what all stops are in */
export function useMoving(options: Options, frame: RefObject<HTMLDivElement | null>) {
  const { floor, seating, onHold } = options;
  const [dragged, setDragged] = useState<string | null>(null);
  /** The stop a held tag is over. */
  const [over, setOver] = useState<string | null>(null);
  const [lastStop, setLastStop] = useState('');
  const { spoken, setSpoken, edit } = useEdit(options, frame);
  const put = (student: string, stop: string) => {
    const change = editAt(student, stop, seating);
    if (change !== null) edit(change);
  };
  const { picked, onKeyDown } = useKeysOf(options, frame, put, setSpoken);
  const drag = (student: string | null) => {
    setDragged(student);
    onHold?.(student);
  };
  return {
    edit,
    spoken,
    picked,
    over,
    /** A tag is held. */
    held: dragged !== null || picked !== null,
    dragged: dragged === null ? undefined : seating.student(dragged),
    tabStop: tabStopOf(floor, seating, lastStop),
    drag: {
      words: namesFor(seating),
      onStart: (student: string) => drag(student),
      onOver: setOver,
      onEnd: (student: string, stop: string | null) => {
        drag(null);
        if (stop !== null) put(student, stop);
      },
      onCancel: () => drag(null),
    },
    keys: {
      onKeyDown,
      onFocus: (event: FocusEvent) => {
        const stop = stopOf(event.target);
        if (stop === null) return;
        setLastStop(stop);
        if (picked !== null) setOver(stop);
      },
      onKeyUp: (event: KeyboardEvent) => event.key === ' ' && stopOf(event.target) !== null && event.preventDefault(),
    },
  };
}

export type Moving = ReturnType<typeof useMoving>;
