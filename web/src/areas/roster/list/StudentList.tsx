// The class list as a table in which everything is changed where it stands.
import { memo, useCallback, useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Picture } from '../../../ui/signs/Picture';
import * as m from '#messages';
import { EditText } from '../EditText';
import { FillColumn } from './FillColumn';
import { StudentMore } from './StudentMore';
import { useStudentActions, valueOf, type Edit, type Student } from './useStudentActions';

const searchAbove = 15;

interface RowProps {
  student: Student;
  number: number;
  columns: string[];
  absent: boolean;
  onEdit: (edit: Edit) => void;
  onAbsent: (id: string, absent: boolean) => void;
  onMore: (student: Student, at: DOMRect) => void;
  onLines: (from: string, column: string | null, lines: string[]) => void;
}

/** As in a spreadsheet: Enter goes on to the same column of the next row, and opens it. */
function goBelow(field: Element): boolean {
  const cell = field.closest<HTMLTableCellElement>('td, th');
  const next = cell?.closest('tr')?.nextElementSibling?.children[cell.cellIndex]?.querySelector('button');
  // After this field has been left, which saves it.
  if (next != null) setTimeout(() => next.click());
  return next != null;
}

type SaveCell = (value: string) => void;

/** A cell that is changed where it stands. */
function Cell({
  student,
  what,
  value,
  onSave,
  onLines,
}: {
  student: Student;
  /** What stands in it, for those who cannot see the column. */
  what: string;
  value: string;
  onSave: SaveCell;
  onLines?: ((lines: string[]) => void) | undefined;
}) {
  return (
    <EditText
      inline
      mayBeEmpty
      label={m.roster_editCell({ what, name: student.name })}
      value={value}
      shown={value === '' ? m.roster_noValue() : value}
      maxLength={120}
      onSave={onSave}
      onNext={goBelow}
      onLines={onLines}
    />
  );
}

function NameCell({ student, absent, onEdit }: Pick<RowProps, 'student' | 'absent' | 'onEdit'>) {
  return (
    <th scope="row" className={`min-w-40 py-1 pe-4 text-start font-normal ${absent ? 'text-soft line-through' : ''}`}>
      <span className="flex items-center gap-2">
        {student.picture != null && <Picture number={student.picture} size={24} />}
        <EditText
          inline
          label={m.roster_editOf({ name: student.name })}
          value={student.name}
          maxLength={120}
          onSave={(name) => onEdit({ id: student.id, name })}
          onNext={goBelow}
        />
      </span>
      {student.seatable === false && <span className="text-xs text-soft">{m.roster_notSeated()}</span>}
    </th>
  );
}

/** The table, the class's own columns, and tags. */
function ValueCells({
  student,
  columns,
  onEdit,
  onLines,
}: Pick<RowProps, 'student' | 'columns' | 'onEdit' | 'onLines'>) {
  const { id } = student;
  return (
    <>
      <td className="min-w-20 py-1 pe-3 text-sm">
        <Cell
          student={student}
          what={m.roster_table()}
          value={student.table ?? ''}
          onSave={(table) => onEdit({ id, table })}
          onLines={(lines) => onLines(id, null, lines)}
        />
      </td>
      {columns.map((name) => (
        <td key={name} className="min-w-20 py-1 pe-3 text-sm">
          <Cell
            student={student}
            what={name}
            value={student.attributes?.find((one) => one.name === name)?.value ?? ''}
            onSave={(value) => onEdit({ id, attributes: [{ name, value }] })}
            onLines={(lines) => onLines(id, name, lines)}
          />
        </td>
      ))}
      <td className="py-1 pe-3 text-sm">
        <Cell
          student={student}
          what={m.roster_tags()}
          value={(student.tags ?? []).join(', ')}
          onSave={(tags) => onEdit({ id, tags: tagsIn(tags) })}
        />
      </td>
    </>
  );
}

const tagsIn = (text: string) =>
  text
    .split(',')
    .map((tag) => tag.trim())
    .filter((tag) => tag !== '');

const Row = memo(function Row({ student, number, columns, absent, onEdit, onAbsent, onMore, onLines }: RowProps) {
  return (
    <tr className={`border-b border-line last:border-0 ${student.seatable === false ? 'text-soft' : ''}`}>
      <td className="py-1 text-sm text-soft tabular-nums">{number}</td>
      <NameCell student={student} absent={absent} onEdit={onEdit} />
      <ValueCells student={student} columns={columns} onEdit={onEdit} onLines={onLines} />
      <td className="py-1 align-middle whitespace-nowrap">
        <input
          type="checkbox"
          className="block size-6 accent-ink"
          checked={absent}
          aria-label={m.roster_absentOf({ name: student.name })}
          onChange={(event) => onAbsent(student.id, event.target.checked)}
        />
      </td>
      <td className="py-1 text-end text-sm whitespace-nowrap">
        <Button
          look="quiet"
          className="text-soft"
          aria-haspopup="dialog"
          aria-label={m.roster_moreOf({ name: student.name })}
          onClick={(event) => onMore(student, event.currentTarget.getBoundingClientRect())}
        >
          {m.desk_more()}
        </Button>
      </td>
    </tr>
  );
});

type Actions = ReturnType<typeof useStudentActions>;

/** What rows do, the same functions at every rendering: a row is drawn again only where it has changed. */
function useRowActions(students: Student[], { edit, fill }: Actions) {
  // A box shows what was pressed until the server has answered.
  const [pressed, setPressed] = useState<Record<string, boolean | undefined>>({});
  const { mutate } = edit;
  const onEdit = useCallback((change: Edit) => mutate(change), [mutate]);
  const onAbsent = useCallback(
    (id: string, absent: boolean) => {
      setPressed((all) => ({ ...all, [id]: absent }));
      mutate({ id, absent }, { onSettled: () => setPressed((all) => ({ ...all, [id]: undefined })) });
    },
    [mutate],
  );
  const { mutate: fillMany } = fill;
  const onLines = useCallback(
    (from: string, column: string | null, lines: string[]) => {
      const first = students.findIndex((one) => one.id === from);
      const below = students.slice(first, students.length).slice(0, lines.length);
      fillMany({ column, cells: below.map((student, i) => ({ student, value: lines[i] ?? '' })) });
    },
    [students, fillMany],
  );
  return { pressed, onEdit, onAbsent, onLines };
}

/** The heading of a column that can be filled for all. */
function FillHeading({ column, onFill }: { column: string | null; onFill: (at: DOMRect) => void }) {
  const name = column ?? m.roster_table();
  return (
    <th scope="col" className={headLook}>
      <button
        type="button"
        aria-label={m.roster_fillOf({ column: name })}
        title={m.roster_fillOf({ column: name })}
        aria-haspopup="dialog"
        className="min-h-6 text-start underline decoration-line decoration-dotted underline-offset-4 hover:decoration-ink"
        onClick={(event) => onFill(event.currentTarget.getBoundingClientRect())}
      >
        {name}
      </button>
    </th>
  );
}

const headLook = 'py-1.5 pe-3 font-semibold';

function Heads({ columns, onFill }: { columns: string[]; onFill: (column: string | null, at: DOMRect) => void }) {
  return (
    <tr className="border-b border-ink text-start text-sm">
      <th scope="col" className="w-10 py-1.5 font-semibold">
        {m.roster_number()}
      </th>
      <th scope="col" className={headLook}>
        {m.roster_name()}
      </th>
      {[null, ...columns].map((column) => (
        <FillHeading key={column} column={column} onFill={(at) => onFill(column, at)} />
      ))}
      <th scope="col" className={headLook}>
        {m.roster_tags()}
      </th>
      <th scope="col" className={headLook}>
        {m.roster_absentColumn()}
      </th>
      <th scope="col" className="py-1.5">
        <span className="sr-only">{m.roster_actions()}</span>
      </th>
    </tr>
  );
}

interface Numbered {
  student: Student;
  /** Where it stands on the list, from 1. */
  number: number;
}

function StudentTable({
  classId,
  students,
  rows,
  columns,
}: {
  classId: string;
  students: Student[];
  /** Those that are shown. */
  rows: Numbered[];
  columns: string[];
}) {
  const actions = useStudentActions(classId);
  const { pressed, onEdit, onAbsent, onLines } = useRowActions(students, actions);
  const [filling, setFilling] = useState<{ column: string | null; at: DOMRect } | null>(null);
  const [more, setMore] = useState<{ student: Student; at: DOMRect } | null>(null);
  const onMore = useCallback((student: Student, at: DOMRect) => setMore({ student, at }), []);
  return (
    <>
      {/* A wide table scrolls by itself and has to be reachable by keyboard. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
      <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label={m.roster_heading()}>
        <table className="w-full border-collapse border-y-2 border-ink">
          <caption className="sr-only">{m.roster_heading()}</caption>
          <thead>
            <Heads columns={columns} onFill={(column, at) => setFilling({ column, at })} />
          </thead>
          <tbody>
            {rows.map(({ student, number }) => (
              <Row
                key={student.id}
                student={student}
                number={number}
                columns={columns}
                absent={pressed[student.id] ?? student.absent}
                onEdit={onEdit}
                onAbsent={onAbsent}
                onMore={onMore}
                onLines={onLines}
              />
            ))}
          </tbody>
        </table>
      </div>
      {filling !== null && <Fill {...filling} rows={rows} actions={actions} onClose={() => setFilling(null)} />}
      {more !== null && (
        <StudentMore
          student={students.find((one) => one.id === more.student.id) ?? more.student}
          at={more.at}
          onEdit={onEdit}
          onFree={() => actions.free.mutate(more.student)}
          onNewPass={() => actions.newPass.mutate(more.student)}
          onRemove={() => actions.remove.mutate(more.student)}
          onClose={() => setMore(null)}
        />
      )}
    </>
  );
}

/** Fills a column for all that are shown, or for those that have nothing there. */
function Fill({
  column,
  at,
  rows,
  actions: { fill },
  onClose,
}: {
  column: string | null;
  at: DOMRect;
  rows: Numbered[];
  actions: Actions;
  onClose: () => void;
}) {
  const without = rows.filter(({ student }) => valueOf(student, column) === '');
  return (
    <FillColumn
      column={column ?? m.roster_table()}
      at={at}
      all={rows.length}
      without={without.length}
      onFill={(value, onlyEmpty) =>
        fill.mutate({
          column,
          cells: (onlyEmpty ? without : rows).map(({ student }) => ({ student, value })),
        })
      }
      onClose={onClose}
    />
  );
}

/**
 * The class list: everything known of each student, to be changed where it stands.
 *
 * @param props.beside what else can be pressed above it
 */
export function StudentList({
  classId,
  students,
  attributes,
  beside,
}: {
  classId: string;
  students: Student[];
  attributes: Schema['AttributeView'][];
  beside?: ReactNode;
}) {
  const [search, setSearch] = useState('');
  const [added, setAdded] = useState<string[]>([]);
  const wanted = useDeferredValue(search.trim().toLowerCase());
  const columns = useMemo(
    () => [...new Set([...attributes.map((attribute) => attribute.name), ...added])],
    [attributes, added],
  );
  if (students.length === 0) return <p className="border-y border-line py-8 text-soft">{m.roster_empty()}</p>;
  const rows = students
    .map((student, i) => ({ student, number: i + 1 }))
    .filter(({ student }) => wanted === '' || student.name.toLowerCase().includes(wanted));
  return (
    <div>
      <div className="mb-2 flex flex-wrap items-end gap-3 print:hidden">
        {students.length > searchAbove && (
          <input
            type="search"
            aria-label={m.roster_find()}
            placeholder={m.roster_find()}
            value={search}
            onChange={(event) => setSearch(event.target.value)}
            className="w-56 border border-ink bg-sheet px-3 py-1.5"
          />
        )}
        {beside}
        <AddColumn onAdd={(name) => setAdded([...added, name])} />
      </div>
      <StudentTable classId={classId} students={students} rows={rows} columns={columns} />
      {rows.length === 0 && <p className="py-6 text-soft">{m.roster_foundNone()}</p>}
    </div>
  );
}

function AddColumn({ onAdd }: { onAdd: (name: string) => void }) {
  const [name, setName] = useState<string | null>(null);
  if (name === null)
    return (
      <Button look="quiet" className="text-sm" onClick={() => setName('')}>
        {m.roster_addColumn()}
      </Button>
    );
  return (
    <form
      className="flex items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() !== '') onAdd(name.trim());
        setName(null);
      }}
    >
      <input
        // The field appears because the person asked for it.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        aria-label={m.roster_columnName()}
        placeholder={m.roster_columnHint()}
        maxLength={60}
        value={name}
        onChange={(event) => setName(event.target.value)}
        className="w-72 border border-ink bg-sheet px-3 py-1.5"
      />
      <Button type="submit">{m.roster_addColumn()}</Button>
    </form>
  );
}
