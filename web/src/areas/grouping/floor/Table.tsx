// A table of the floor, with the name tags of its group.
import clsx from 'clsx';
import type { Schema } from '../../../api/client';
import { Ear } from '../../../ui/signs/Ear';
import { markOf } from '../../../ui/signs/marks';
import { roomWindow } from '../../../ui/roomWindow';
import { Sign } from '../../../ui/signs/Sign';
import { WayIn } from '../../../ui/signs/WayIn';
import * as m from '#messages';
import { Droppable } from '../../../ui/drag/Drag';
import { useStop } from './roving';
import { NameTag, tagLook, type Student } from './NameTag';

export type Group = Schema['GroupView'];
export type Effect = Schema['EffectView'];

/** How many of a table are not absent. */
export function hereAt(group: Group, students: readonly Pick<Student, 'id' | 'absent'>[]): number {
  const absent = new Set(students.filter((student) => student.absent).map((student) => student.id));
  return group.students.filter((id) => !absent.has(id)).length;
}

/** Somebody who sits at this table and belongs at another. */
export interface Guest {
  student: Student;
  from: string;
}

/** How a group at work stands. */
export interface TableState {
  text: string;
  /** For a narrow table. */
  short?: string;
  /** Asks for attention. */
  strong: boolean;
}

interface TableProps {
  group: Group;
  students: Student[];
  guests: Guest[];
  fixed: ReadonlySet<string>;
  live: boolean;
  picked: string | null;
  compact: boolean;
  /** How much larger than usual, 1 to 2. */
  scale: number;
  /** How many seats stand along the upper edge: the same for all tables, so that they stand in line. */
  above: number;
  note: string;
  state?: TableState | undefined;
  /** Hears the room of this table, or stops hearing it. */
  ear?: { on: boolean; press: () => void } | undefined;
  /** Into the room of this table. */
  way: string | null;
  /** What it would mean to put the held tag here. */
  effect?: Effect | undefined;
  onOpenTag: (student: Student, at: DOMRect) => void;
  onOpenTable: (group: Group, at: DOMRect) => void;
}

function Slab({
  group,
  compact,
  scale,
  over,
  note,
  effect,
  onOpen,
}: {
  group: Group;
  compact: boolean;
  scale: number;
  over: boolean;
  note: string;
  effect: Effect | undefined;
  onOpen: (at: DOMRect) => void;
}) {
  const { colour } = markOf(group.mark);
  const stop = useStop(`table:${group.id}`);
  return (
    <button
      type="button"
      {...stop}
      aria-label={m.floor_table({ name: group.name, n: group.students.length })}
      aria-haspopup="dialog"
      onClick={(event) => onOpen(event.currentTarget.getBoundingClientRect())}
      style={{ borderColor: colour, backgroundColor: `color-mix(in oklab, ${colour} 16%, var(--sheet))` }}
      className={clsx(
        'flex min-w-0 flex-1 items-center gap-2 border-2 text-start',
        compact ? 'px-2 py-1' : 'min-h-11 justify-center px-4 py-1.5',
        over && 'ring-4 ring-ink',
      )}
    >
      <span style={{ color: `color-mix(in oklab, ${colour} 70%, var(--ink))` }} className="flex">
        <Sign mark={group.mark} size={(compact ? 16 : 24) * scale} plain />
      </span>
      <span
        className={clsx(
          'min-w-0 font-head font-semibold wrap-anywhere',
          compact ? 'line-clamp-1 text-sm' : 'line-clamp-2 text-lg',
        )}
      >
        {group.name}
      </span>
      {compact && effect !== undefined ? (
        <span className="ms-auto shrink-0 text-xs">
          <EffectNote effect={effect} />
        </span>
      ) : (
        <span className="ms-auto shrink-0 text-xs text-soft">{note}</span>
      )}
    </button>
  );
}

/** The door of a table: one press, and the teacher is in its room. */
function TableDoor({ group, way }: { group: Group; way: string }) {
  return (
    <a
      href={way}
      target={roomWindow}
      aria-label={m.floor_wayIn({ name: group.name })}
      title={m.floor_wayIn({ name: group.name })}
      style={{ borderColor: markOf(group.mark).colour }}
      className="flex w-7 shrink-0 items-center justify-center border-2 border-s-0 bg-sheet hover:bg-wash"
    >
      <WayIn />
    </a>
  );
}

/** The ear of a table: one press, and its room alone is heard. */
function TableEar({ group, ear }: { group: Group; ear: { on: boolean; press: () => void } }) {
  return (
    <button
      type="button"
      aria-label={m.floor_listen({ name: group.name })}
      title={m.floor_listen({ name: group.name })}
      aria-pressed={ear.on}
      style={{ borderColor: markOf(group.mark).colour }}
      className={clsx(
        'flex w-7 shrink-0 items-center justify-center border-2 border-s-0 hover:bg-wash',
        ear.on ? 'bg-ink text-ground' : 'bg-sheet',
      )}
      onClick={ear.press}
    >
      <Ear />
    </button>
  );
}

const trendWord = ({ trend }: Effect) =>
  trend > 0 ? m.floor_better() : trend < 0 ? m.floor_worse() : m.floor_asWell();

/** How a group at work stands: what asks for attention is set off. */
function StateLine({ state, compact = false }: { state: TableState; compact?: boolean }) {
  return (
    <p
      title={state.text}
      className={clsx(
        'h-4 truncate text-center text-xs',
        state.strong ? 'bg-attention px-1 font-semibold text-on-accent' : 'text-soft',
      )}
    >
      {(compact ? state.short : undefined) ?? state.text}
    </p>
  );
}

/**
 * What it would mean to put the held tag at a table: on the line under the slab that is always kept free for it, so
 * that it covers nothing and nothing moves; a text too long for the line is whole in the list of tables of the tag.
 */
function EffectLine({ effect, state }: { effect: Effect | undefined; state: TableProps['state'] }) {
  if (effect === undefined && state !== undefined) return <StateLine state={state} />;
  if (effect === undefined) return <p className="h-4" aria-hidden="true" />;
  if (effect.breaks.length === 0)
    return <p className="h-4 truncate text-center text-xs text-soft">{trendWord(effect)}</p>;
  const text = m.floor_breaks({ rules: effect.breaks.join('; ') });
  return (
    <p title={text} className="h-4 truncate bg-lost-wash px-1 text-center text-xs font-semibold text-lost">
      {text}
    </p>
  );
}

/** The same in a narrow slab, in the place of its note: what exactly breaks is said on the shelf. */
function EffectNote({ effect }: { effect: Effect }) {
  if (effect.breaks.length === 0)
    return <span className="text-soft">{effect.trend > 0 ? '+' : effect.trend < 0 ? '−' : '='}</span>;
  return (
    <span className="bg-lost-wash px-1 font-semibold text-lost">{m.floor_breaksSome({ n: effect.breaks.length })}</span>
  );
}

/** A group, seen from above: the table with its sign and name, name tags in the seats round it. */
export function Table(props: TableProps) {
  return (
    <Droppable id={`table:${props.group.id}`}>
      {({ ref, over }) => <TableAt {...props} place={ref} over={over} />}
    </Droppable>
  );
}

interface TagLook {
  group: string;
  fixed: ReadonlySet<string>;
  live: boolean;
  picked: string | null;
  compact: boolean;
  onOpenTag: TableProps['onOpenTag'];
}

/** Name tags in seats. */
function Seats({ students, look }: { students: Student[]; look: TagLook }) {
  return students.map((student) => (
    <li key={student.id} className={look.compact ? 'w-full' : 'flex w-[calc(50%-var(--spacing))]'}>
      <NameTag
        student={student}
        group={look.group}
        fixed={look.fixed.has(student.id)}
        live={look.live}
        picked={look.picked === student.id}
        dense={look.compact}
        onOpen={look.onOpenTag}
      />
    </li>
  ));
}

/** Those who are here and belong to another table. */
function Guests({ guests, onOpenTag }: Pick<TableProps, 'guests' | 'onOpenTag'>) {
  return guests.map(({ student, from }) => (
    <li key={student.id}>
      <button
        type="button"
        className={clsx(
          'border-2 border-attention px-2 py-1 text-start text-sm',
          tagLook({ ...student, place: 'inPlace' }, true),
        )}
        onClick={(event) => onOpenTag(student, event.currentTarget.getBoundingClientRect())}
      >
        {student.name}
        <span className="block bg-attention px-1 text-xs font-normal text-on-accent">
          {m.floor_fromTable({ name: from })}
        </span>
      </button>
    </li>
  ));
}

/** The slab with its ear and door. */
function SlabLine({ props, over }: { props: TableProps; over: boolean }) {
  const { group, compact, scale, note, ear, way, effect, onOpenTable } = props;
  return (
    <div className="flex items-stretch">
      <Slab
        group={group}
        compact={compact}
        scale={scale}
        over={over}
        note={note}
        effect={effect}
        onOpen={(at) => onOpenTable(group, at)}
      />
      {/* In a narrow slab the name needs the room: its slip has the ear. */}
      {ear !== undefined && !compact && <TableEar group={group} ear={ear} />}
      {way !== null && <TableDoor group={group} way={way} />}
    </div>
  );
}

function TableAt(props: TableProps & { place: (node: HTMLElement | null) => void; over: boolean }) {
  const { group, students, guests, fixed, live, picked, compact, above, state, effect, onOpenTag, place, over } = props;
  const look = { group: group.name, fixed, live, picked, compact, onOpenTag };
  if (compact) {
    return (
      <li ref={place}>
        <SlabLine props={props} over={over} />
        {state !== undefined && <StateLine state={state} compact />}
        <ul className="mt-1 space-y-0.5">
          <Seats students={students} look={look} />
          <Guests guests={guests} onOpenTag={onOpenTag} />
          {students.length === 0 && <li className="px-1.5 text-sm text-soft">{m.floor_emptyTable()}</li>}
        </ul>
      </li>
    );
  }
  const row = 'flex flex-wrap justify-center gap-2';
  return (
    <li ref={place} className="flex flex-col gap-1.5">
      <ul className={clsx(row, 'min-h-11 items-stretch')}>
        <Seats students={students.slice(0, above)} look={look} />
      </ul>
      <SlabLine props={props} over={over} />
      <EffectLine effect={effect} state={state} />
      <ul className={clsx(row, 'min-h-11 items-stretch')}>
        <Seats students={students.slice(above)} look={look} />
        <Guests guests={guests} onOpenTag={onOpenTag} />
        {students.length === 0 && <li className="pt-1 text-sm text-soft">{m.floor_emptyTable()}</li>}
      </ul>
    </li>
  );
}
