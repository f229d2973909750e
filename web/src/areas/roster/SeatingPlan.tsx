import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { useMessages } from '../../ui/messages';
import * as m from '#messages';
import { Beside } from '../../ui/Beside';
import { useStudentActions, type Student } from './useStudentActions';

/** Where one student sits: at a table there is, at a new one, at none. */
function Seat({
  student,
  tables,
  at,
  onTable,
  onClose,
}: {
  student: Student;
  tables: string[];
  at: DOMRect;
  onTable: (table: string) => void;
  onClose: () => void;
}) {
  const [name, setName] = useState('');
  const own = student.table ?? null;
  const sit = (table: string) => {
    onTable(table);
    onClose();
  };
  return (
    <Beside at={at} title={m.roster_planSeat({ student: student.name })} onClose={onClose}>
      <ul className="flex flex-wrap gap-1.5">
        {tables.map((table) => (
          <li key={table}>
            <Button aria-pressed={table === own} disabled={table === own} onClick={() => sit(table)}>
              {table}
            </Button>
          </li>
        ))}
        {own !== null && (
          <li>
            <Button look="quiet" onClick={() => sit('')}>
              {m.roster_planNone()}
            </Button>
          </li>
        )}
      </ul>
      <form
        className="mt-3 border-t border-line pt-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() !== '') sit(name.trim());
        }}
      >
        <Field
          label={m.roster_planNew()}
          value={name}
          maxLength={60}
          onChange={(event) => setName(event.target.value)}
        />
        <Button type="submit" className="mt-2" disabled={name.trim() === ''}>
          {m.roster_planSit()}
        </Button>
      </form>
    </Beside>
  );
}

/** The seating plan of the class room, drawn as the floor: tables from above, names in their seats, pressed to move. */
export function SeatingPlan({ classId, students, tables }: { classId: string; students: Student[]; tables: string[] }) {
  const { edit } = useStudentActions(classId);
  const { say } = useMessages();
  const [open, setOpen] = useState<{ student: Student; at: DOMRect } | null>(null);
  const at = (table: string | null) =>
    students.filter((student) => student.seatable !== false && (student.table ?? null) === table);
  const without = at(null);
  const move = (student: Student, table: string) =>
    edit.mutate(
      { id: student.id, table },
      {
        onSuccess: () =>
          say(
            table === ''
              ? m.roster_planLeft({ student: student.name })
              : m.roster_planMoved({ student: student.name, table }),
            () => edit.mutate({ id: student.id, table: student.table ?? '' }),
          ),
      },
    );
  const tag = (student: Student) => (
    <li key={student.id}>
      <button
        type="button"
        onClick={(event) => setOpen({ student, at: event.currentTarget.getBoundingClientRect() })}
        className={`border px-2 py-1 text-start text-sm hover:bg-wash ${student.absent ? 'border-dotted border-line text-soft line-through' : 'border-ink bg-sheet'}`}
      >
        {student.name}
      </button>
    </li>
  );
  return (
    <>
      <p className="mb-2 text-sm text-soft print:hidden">
        {tables.length === 0 ? m.roster_planEmpty() : m.roster_planLead()}
      </p>
      <div className="floor-paper border border-ink p-5">
        <ul className="grid grid-cols-[repeat(auto-fit,minmax(14rem,1fr))] gap-6">
          {tables.map((table) => {
            const here = at(table);
            const half = Math.ceil(here.length / 2);
            const row = 'flex flex-wrap justify-center gap-1.5';
            // Above and below take the same room, so that the tables of a row stand in line.
            return (
              <li key={table} className="grid grid-rows-[1fr_auto_1fr] gap-1.5">
                <ul className={`${row} content-end`}>{here.slice(0, half).map(tag)}</ul>
                <p className="border-2 border-ink bg-wash px-3 py-2 text-center font-head text-lg font-semibold wrap-anywhere">
                  {table}
                </p>
                <ul className={`${row} content-start`}>{here.slice(half).map(tag)}</ul>
              </li>
            );
          })}
        </ul>
        {without.length > 0 && (
          <div className={tables.length === 0 ? '' : 'mt-6 border-t-4 border-ink pt-3'}>
            <p className="font-semibold">{m.roster_planNone()}</p>
            <ul className="mt-1 flex flex-wrap gap-1.5">{without.map(tag)}</ul>
          </div>
        )}
      </div>
      {open !== null && (
        <Seat
          student={open.student}
          tables={tables}
          at={open.at}
          onTable={(table) => move(open.student, table)}
          onClose={() => setOpen(null)}
        />
      )}
    </>
  );
}
