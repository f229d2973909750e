// The plan of the floor: tables with name tags round them, the shelf along the bottom.
import clsx from 'clsx';
import { useEffect, useRef, useState, type CSSProperties, type ReactNode } from 'react';
import type { Schema } from '../../../api/client';
import { DragArea, Dragged } from '../../../ui/drag/Drag';
import { part } from '../../../ui/later/lazily';
import { useRoom } from '../../../ui/useRoom';
import * as m from '#messages';
import { floorLayout, narrowTable, roundTable } from './layout/floorLayout';
import { FloorList } from './FloorList';
import type { Edit } from './floorMoves';
import { keepRoom, roomAtFirst } from './layout/floorRoom';
import { type Student } from './NameTag';
import { RovingContext } from './roving';
import { seatingOf, type Seating } from './seating';
import { Shelf } from './Shelf';
import { Table, type Effect, type Group, type TableState } from './Table';
import type { FloorControl } from './useFloor';
import { useMoving, type Moving } from './useMoving';

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

/** @param props.over of a lesson that is over */
function NoGroups({ over }: { over: boolean }) {
  return (
    <p className="mx-auto max-w-md py-16 text-center text-soft">{over ? m.round_nobodyOut() : m.floor_nothingYet()}</p>
  );
}

/** Tables, in the room there is. */
function Tables({
  props,
  seating,
  moving,
  onOpen,
  paper,
  room,
}: {
  props: FloorProps;
  seating: Seating;
  moving: Moving;
  onOpen: { tag: (student: Student, at: DOMRect) => void; table: (group: Group, at: DOMRect) => void };
  paper: (node: HTMLElement | null) => void;
  room: { width: number; height: number };
}) {
  const { floor, students, live, asList } = props;
  const compact = floor.groups.length > compactAbove;
  const largest = Math.max(4, ...floor.groups.map((group) => group.students.length));
  const above = 2 * Math.floor(largest / 4);
  const shape = compact ? narrowTable(largest) : roundTable(largest, above);
  const layout = floorLayout(floor.groups.length, shape, room.width, room.height);
  return (
    <div ref={paper} className="floor-paper min-h-0 flex-1 overflow-y-auto p-5">
      {floor.groups.length === 0 && <NoGroups over={props.readOnly === true} />}
      {asList || floor.groups.length > rowsAbove ? (
        <FloorList floor={floor} students={students} live={live} note={props.noteOf} onOpenTag={onOpen.tag} />
      ) : (
        <ul
          className={clsx('grid', compact ? 'gap-x-4 gap-y-5' : 'gap-x-8 gap-y-7')}
          style={{ gridTemplateColumns: `repeat(${layout.columns}, minmax(0, 1fr))`, ...grown(layout.scale) }}
        >
          {floor.groups.map((group) => (
            <Table
              key={group.id}
              group={group}
              students={seating.studentsAt(group)}
              guests={live ? seating.guestsAt(group) : []}
              fixed={seating.fixed}
              live={live}
              picked={moving.picked}
              compact={compact}
              scale={layout.scale}
              above={above}
              note={props.tableNote(group)}
              state={props.stateOf?.(group)}
              ear={props.earOf?.(group)}
              way={props.wayTo?.(group.id) ?? null}
              effect={moving.held ? props.effects?.get(group.id) : undefined}
              onOpenTag={onOpen.tag}
              onOpenTable={onOpen.table}
            />
          ))}
        </ul>
      )}
    </div>
  );
}

/** What has been opened: the slip of a tag or of a table. */
function Slip({
  props,
  seating,
  opened,
  onEdit,
  onClose,
}: {
  props: FloorProps;
  seating: Seating;
  opened: Opened;
  onEdit: (edit: Edit) => void;
  onClose: () => void;
}) {
  const { floor, students, live } = props;
  if (opened.kind === 'table') {
    return (
      <TableActions
        group={opened.group}
        at={opened.at}
        onEdit={onEdit}
        more={props.moreOfTable?.(opened.group, onClose)}
        actions={props.changesOfTable?.(opened.group, onClose)}
        onClose={onClose}
      />
    );
  }
  const student = seating.student(opened.student.id) ?? opened.student;
  return (
    <TagActions
      student={student}
      at={opened.at}
      floor={floor}
      students={students}
      note={live ? props.noteOf(opened.student) : null}
      onEdit={onEdit}
      reasons={props.reasons}
      effects={props.effects}
      onAbsent={(isAbsent) => props.onAbsent(opened.student, isAbsent)}
      onClose={onClose}
      more={props.more?.(student, onClose)}
      now={props.now?.(student, onClose)}
    />
  );
}

/** What it would mean to put the held tag where it is, where that breaks something. */
function meaningOf(seating: Seating, moving: Moving, effects: FloorProps['effects']): string | null {
  const group = moving.held && moving.over !== null ? seating.groupAtStop(moving.over) : '';
  const broken = effects?.get(group)?.breaks ?? [];
  return broken.length === 0
    ? null
    : m.floor_meaning({ name: seating.groupName(group), text: m.floor_breaks({ rules: broken.join('; ') }) });
}

function DraggedTag({ student }: { student: Student | undefined }) {
  return (
    <Dragged>
      {student !== undefined && (
        <div className="min-h-10 w-[7.4rem] rotate-2 border-2 border-ink bg-ink px-2 py-1 text-sm leading-tight text-ground shadow-lg">
          {student.name}
        </div>
      )}
    </Dragged>
  );
}

/** The plan of the floor: tables with name tags round them, the shelf along the bottom. */
export function Floor(props: FloorProps) {
  const { floor, students, control, live, effects, onHold } = props;
  const readOnly = props.readOnly === true;
  const [opened, setOpened] = useState<Opened | null>(null);
  const seating = seatingOf(floor, students);
  const frame = useRef<HTMLDivElement>(null);
  const moving = useMoving({ floor, seating, readOnly, effects, onEdit: control.edit, onHold }, frame);
  const { unseated } = seating;
  const openTag = (student: Student, at: DOMRect) => {
    if (readOnly) return;
    setOpened({ kind: 'tag', student, at });
    onHold?.(student.id);
  };
  const close = () => {
    setOpened(null);
    if (opened?.kind === 'tag') onHold?.(null);
  };
  const [atFirst] = useState(roomAtFirst);
  const { box: paper, width, height } = useRoom(atFirst);
  useEffect(() => keepRoom({ width, height }), [width, height]);
  return (
    <RovingContext value={moving.tabStop}>
      {/* A tag under the pointer wins over the table under it. */}
      <DragArea off={readOnly} first="tag:" {...moving.drag}>
        {/* Keys bubble up from the name tags and tables, which are buttons. */}
        <div ref={frame} className="flex min-h-0 flex-1 flex-col" {...moving.keys}>
          <Tables
            props={props}
            seating={seating}
            moving={moving}
            paper={paper}
            room={{ width, height }}
            onOpen={{
              tag: openTag,
              table: (group, at) => !readOnly && setOpened({ kind: 'table', group, at }),
            }}
          />
          {!(readOnly && unseated.length === 0) && (
            <Shelf
              students={unseated.filter((s) => !s.absent)}
              absent={unseated.filter((s) => s.absent)}
              live={live}
              picked={moving.picked}
              meaning={meaningOf(seating, moving, effects)}
              onOpenTag={openTag}
            />
          )}
        </div>
        <p className="sr-only" role="status">
          {moving.spoken}
        </p>
        <DraggedTag student={moving.dragged} />
        {opened !== null && (
          <Slip props={props} seating={seating} opened={opened} onEdit={moving.edit} onClose={close} />
        )}
      </DragArea>
    </RovingContext>
  );
}
