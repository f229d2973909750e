import clsx from 'clsx';
import { useEffect, useRef, useState, type CSSProperties, type KeyboardEvent, type ReactNode } from 'react';
import type { Schema } from '../../api/client';
import * as m from '#messages';
import { list } from '../../words/list';
import { DragArea, Dragged } from '../../ui/Drag';
import { dragWords } from '../../ui/dragWords';
import { part } from '../../ui/lazily';
import { useRoom } from '../../ui/useRoom';
import { floorLayout, narrowTable, roundTable } from './floorLayout';
import { FloorList } from './FloorList';
import type { Edit } from './floorMoves';
import { keepRoom, roomAtFirst } from './floorRoom';
import { type Student } from './NameTag';
import { nearest, type Direction } from './nearest';
import { RovingContext } from './roving';
import { Shelf } from './Shelf';
import { Table, type Effect, type Group, type Guest, type TableState } from './Table';
import type { FloorControl } from './useFloor';

const TableActions = part(
  () => import('./TableActions'),
  (file) => file.TableActions,
);
const TagActions = part(
  () => import('./TagActions'),
  (file) => file.TagActions,
);

const compactAbove = 12;
const rowsAbove = 40;

type Opened = { kind: 'tag'; student: Student; at: DOMRect } | { kind: 'table'; group: Group; at: DOMRect };

interface FloorProps {
  /** What else can be done with a student, from outside the floor. */
  more?: (student: Student, onClose: () => void) => ReactNode;
  /** What can be done with a student while groups are at work: a section. */
  now?: (student: Student, onClose: () => void) => ReactNode;
  /** What else can be done with a table, and how its group stands while it is at work. */
  moreOfTable?: (group: Group, onClose: () => void) => ReactNode;
  changesOfTable?: (group: Group, onClose: () => void) => ReactNode;
  earOf?: (group: Group) => { on: boolean; press: () => void } | undefined;
  stateOf?: (group: Group) => TableState | undefined;
  floor: Schema['FloorView'];
  /** Everybody who can be seated, absent ones too. */
  students: Student[];
  control: FloorControl;
  live: boolean;
  /** A lesson that is over: looked at, and not changed. */
  readOnly?: boolean;
  asList: boolean;
  /** What is known of where a student is, in words. */
  noteOf: (student: Student) => string;
  tableNote: (group: Group) => string;
  /** Where the teacher goes into the room of a table; null where there is none. */
  wayTo?: (group: string) => string | null;
  onAbsent: (student: Student, absent: boolean) => void;
  /** A tag is held, dragged or looked at: what would it mean to put it elsewhere? */
  onHold?: (student: string | null) => void;
  /** What it would mean to put the held tag at a table, by table. */
  effects?: ReadonlyMap<string, Effect>;
  /** Why the held tag sits where it sits. */
  reasons?: string[];
}

/** Makes type and spacing inside an element larger, by overriding Tailwind's theme variables. */
const grown = (scale: number) =>
  Object.fromEntries([
    ['--spacing', `${0.25 * scale}rem`],
    ...[
      ['xs', 0.75],
      ['sm', 0.875],
      ['lg', 1.125],
    ].map(([name, rem]) => [`--text-${String(name)}`, `${Number(rem) * scale}rem`]),
  ]) as CSSProperties;

/** The plan of the floor: tables with name tags round them, the shelf along the bottom. */
export function Floor(props: FloorProps) {
  const { floor, students, control, live, asList, noteOf, tableNote, onAbsent, onHold, effects, reasons, more, wayTo } =
    props;
  const readOnly = props.readOnly === true;
  const [opened, setOpened] = useState<Opened | null>(null);
  const [dragged, setDragged] = useState<string | null>(null);
  const [picked, setPicked] = useState<string | null>(null);
  /** The stop a held tag is over. */
  const [over, setOver] = useState<string | null>(null);
  const [spoken, setSpoken] = useState('');
  const [lastStop, setLastStop] = useState('');
  const frame = useRef<HTMLDivElement>(null);
  /** The tag that has just been put elsewhere: the focus goes with it. */
  const goesTo = useRef<string | null>(null);
  useEffect(() => {
    if (goesTo.current === null) return;
    frame.current?.querySelector<HTMLElement>(`[data-stop="${goesTo.current}"]`)?.focus({ preventScroll: true });
    goesTo.current = null;
  }, [floor]);
  const byId = new Map(students.map((student) => [student.id, student]));
  const nameOf = (id: string) => byId.get(id)?.name ?? '';
  const groupName = (id: string) => floor.groups.find((group) => group.id === id)?.name ?? '';
  const seatedAt = new Map(floor.groups.flatMap((group) => group.students.map((id) => [id, group] as const)));
  const unseated = students.filter((student) => !seatedAt.has(student.id));
  const fixed = new Set(floor.fixed);
  const guestsAt = (group: Group): Guest[] =>
    live
      ? students
          .filter((student) => student.place === 'elsewhere' && student.at === group.id)
          .map((student) => ({ student, from: seatedAt.get(student.id)?.name ?? m.floor_shelf() }))
      : [];

  const closeTag = () => {
    setOpened(null);
    onHold?.(null);
  };

  const edit = (change: Edit) => {
    control.edit(change);
    const name = nameOf(change.student ?? '');
    if (change.kind === 'seat') setSpoken(m.floor_seated({ name, group: groupName(change.group ?? '') }));
    if (change.kind === 'swap') setSpoken(m.floor_swapped({ a: name, b: nameOf(change.other ?? '') }));
    if (change.student != null) goesTo.current = `tag:${change.student}`;
    if (change.kind === 'shelve') setSpoken(m.floor_shelved({ name }));
  };

  /** The table of a stop: itself, or the one a tag sits at. */
  const groupAt = (stop: string) => {
    const [kind, id = ''] = stop.split(':');
    return kind === 'table' ? id : (seatedAt.get(id)?.id ?? '');
  };

  /** Puts a student where a stop says: on a table, in another's seat, on the shelf. */
  const put = (student: string, stop: string) => {
    const [kind, id = ''] = stop.split(':');
    const own = seatedAt.get(student);
    if (kind === 'table' && own?.id !== id) edit({ kind: 'seat', student, group: id });
    if (kind === 'shelf' && own !== undefined) edit({ kind: 'shelve', student });
    if (kind === 'tag' && id !== student) {
      const other = seatedAt.get(id);
      if (other === undefined && own === undefined) return;
      edit({ kind: 'swap', student, other: id });
    }
  };

  const dragEnd = (student: string, stop: string | null) => {
    setDragged(null);
    onHold?.(null);
    if (stop !== null) put(student, stop);
  };

  const stopOf = (target: EventTarget) =>
    (target instanceof Element ? target.closest('[data-stop]')?.getAttribute('data-stop') : null) ?? null;

  const keyDown = (event: KeyboardEvent) => {
    const stop = stopOf(event.target);
    if (stop === null) return;
    if (event.key === ' ' && !readOnly) {
      event.preventDefault();
      if (picked !== null) {
        put(picked, stop);
        setPicked(null);
        onHold?.(null);
      } else if (stop.startsWith('tag:')) {
        setPicked(stop.slice(4));
        onHold?.(stop.slice(4));
        setSpoken(m.floor_picked({ name: nameOf(stop.slice(4)) }));
      }
    } else if (event.key === 'Escape' && picked !== null) {
      setPicked(null);
      onHold?.(null);
      setSpoken(m.floor_putBack());
    } else if (event.key.startsWith('Arrow')) {
      event.preventDefault();
      const stops = [...(frame.current?.querySelectorAll<HTMLElement>('[data-stop]') ?? [])];
      const boxes = stops.map((one) => one.getBoundingClientRect());
      const from = (event.target as Element).getBoundingClientRect();
      const next = stops[nearest(from, boxes, event.key as Direction)];
      next?.focus();
      const breaks = effects?.get(groupAt(next?.getAttribute('data-stop') ?? ''))?.breaks ?? [];
      if (picked !== null && breaks.length > 0) setSpoken(m.floor_wouldBreak({ rules: list(breaks) }));
    }
  };

  const openTag = (student: Student, at: DOMRect) => {
    if (readOnly) return;
    setOpened({ kind: 'tag', student, at });
    onHold?.(student.id);
  };
  const held = dragged !== null || picked !== null;
  const overGroup = held && over !== null ? groupAt(over) : '';
  const broken = effects?.get(overGroup)?.breaks ?? [];
  const meaning =
    broken.length === 0
      ? null
      : m.floor_meaning({ name: groupName(overGroup), text: m.floor_breaks({ rules: broken.join('; ') }) });
  const compact = floor.groups.length > compactAbove;
  const largest = Math.max(4, ...floor.groups.map((group) => group.students.length));
  const above = 2 * Math.floor(largest / 4);
  const [atFirst] = useState(roomAtFirst);
  const { box: paper, width, height } = useRoom(atFirst);
  useEffect(() => keepRoom({ width, height }), [width, height]);
  const layout = floorLayout(
    floor.groups.length,
    compact ? narrowTable(largest) : roundTable(largest, above),
    width,
    height,
  );
  const whileDragged = dragWords((id) => {
    const [kind, key] = String(id).split(':');
    if (id === 'shelf') return m.floor_shelf();
    return kind === 'table'
      ? (floor.groups.find((group) => group.id === key)?.name ?? '')
      : (byId.get(key ?? kind ?? '')?.name ?? '');
  });
  const stops = new Set([
    'shelf',
    ...floor.groups.map((group) => `table:${group.id}`),
    ...students.map((student) => `tag:${student.id}`),
  ]);
  const first = floor.groups[0];
  const tabStop = stops.has(lastStop) ? lastStop : first === undefined ? 'shelf' : `table:${first.id}`;
  const draggedStudent = dragged === null ? undefined : byId.get(dragged);

  return (
    <RovingContext value={tabStop}>
      {/* A tag under the pointer wins over the table under it. */}
      <DragArea
        off={readOnly}
        first="tag:"
        words={whileDragged}
        onStart={(student) => {
          setDragged(student);
          onHold?.(student);
        }}
        onOver={setOver}
        onEnd={dragEnd}
        onCancel={() => {
          setDragged(null);
          onHold?.(null);
        }}
      >
        {/* Keys bubble up from the name tags and tables, which are buttons. */}
        {/* eslint-disable-next-line jsx-a11y/no-static-element-interactions */}
        <div
          ref={frame}
          className="flex min-h-0 flex-1 flex-col"
          onKeyDown={keyDown}
          onFocus={(event) => {
            const stop = stopOf(event.target);
            if (stop === null) return;
            setLastStop(stop);
            if (picked !== null) setOver(stop);
          }}
          onKeyUp={(event) => event.key === ' ' && stopOf(event.target) !== null && event.preventDefault()}
        >
          <div ref={paper} className="floor-paper min-h-0 flex-1 overflow-y-auto p-5">
            {floor.groups.length === 0 && (
              <p className="mx-auto max-w-md py-16 text-center text-soft">
                {readOnly ? m.round_nobodyOut() : m.floor_nothingYet()}
              </p>
            )}
            {asList || floor.groups.length > rowsAbove ? (
              <FloorList floor={floor} students={students} live={live} note={noteOf} onOpenTag={openTag} />
            ) : (
              <ul
                className={clsx('grid', compact ? 'gap-x-4 gap-y-5' : 'gap-x-8 gap-y-7')}
                style={{ gridTemplateColumns: `repeat(${layout.columns}, minmax(0, 1fr))`, ...grown(layout.scale) }}
              >
                {floor.groups.map((group) => (
                  <Table
                    key={group.id}
                    group={group}
                    students={group.students.flatMap((id) => byId.get(id) ?? [])}
                    guests={guestsAt(group)}
                    fixed={fixed}
                    live={live}
                    picked={picked}
                    compact={compact}
                    scale={layout.scale}
                    above={above}
                    note={tableNote(group)}
                    state={props.stateOf?.(group)}
                    ear={props.earOf?.(group)}
                    way={wayTo?.(group.id) ?? null}
                    effect={held ? effects?.get(group.id) : undefined}
                    onOpenTag={openTag}
                    onOpenTable={(one, at) => !readOnly && setOpened({ kind: 'table', group: one, at })}
                  />
                ))}
              </ul>
            )}
          </div>
          {!(readOnly && unseated.length === 0) && (
            <Shelf
              students={unseated.filter((s) => !s.absent)}
              absent={unseated.filter((s) => s.absent)}
              live={live}
              picked={picked}
              meaning={meaning}
              onOpenTag={openTag}
            />
          )}
        </div>
        <p className="sr-only" role="status">
          {spoken}
        </p>
        <Dragged>
          {draggedStudent !== undefined && (
            <div className="min-h-10 w-[7.4rem] rotate-2 border-2 border-ink bg-ink px-2 py-1 text-sm leading-tight text-ground shadow-lg">
              {draggedStudent.name}
            </div>
          )}
        </Dragged>
        {opened?.kind === 'tag' && (
          <TagActions
            student={byId.get(opened.student.id) ?? opened.student}
            at={opened.at}
            floor={floor}
            students={students}
            note={live ? noteOf(opened.student) : null}
            onEdit={edit}
            reasons={reasons}
            effects={effects}
            onAbsent={(isAbsent) => onAbsent(opened.student, isAbsent)}
            onClose={closeTag}
            more={more?.(byId.get(opened.student.id) ?? opened.student, closeTag)}
            now={props.now?.(byId.get(opened.student.id) ?? opened.student, closeTag)}
          />
        )}
        {opened?.kind === 'table' && (
          <TableActions
            group={opened.group}
            at={opened.at}
            onEdit={edit}
            more={props.moreOfTable?.(opened.group, () => setOpened(null))}
            actions={props.changesOfTable?.(opened.group, () => setOpened(null))}
            onClose={() => setOpened(null)}
          />
        )}
      </DragArea>
    </RovingContext>
  );
}
