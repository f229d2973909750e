// Where the students of a class sit in their room.
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/fields/Field';
import { useMessages } from '../../ui/page/messages';
import * as m from '#messages';
import { Beside } from '../../ui/slips/Beside';
import { useStudentActions, type Student } from './list/useStudentActions';

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

type Open = (student: Student, at: DOMRect) => void;

function Tags({ students, onOpen }: { students: Student[]; onOpen: Open }) {
  return students.map((student) => (
    <li key={student.id}>
      <button
        type="button"
        onClick={(event) => onOpen(student, event.currentTarget.getBoundingClientRect())}
        className={`border px-2 py-1 text-start text-sm hover:bg-wash ${student.absent ? 'border-dotted border-line text-soft line-through' : 'border-ink bg-sheet'}`}
      >
        {student.name}
      </button>
    </li>
  ));
}

/** Above and below take the same room, so that the tables of a row stand in line. */
function PlanTable({ table, students, onOpen }: { table: string; students: Student[]; onOpen: Open }) {
  const half = Math.ceil(students.length / 2);
  const row = 'flex flex-wrap justify-center gap-1.5';
  return (
    <li className="grid grid-rows-[1fr_auto_1fr] gap-1.5">
      <ul className={`${row} content-end`}>
        <Tags students={students.slice(0, half)} onOpen={onOpen} />
      </ul>
      <p className="border-2 border-ink bg-wash px-3 py-2 text-center font-head text-lg font-semibold wrap-anywhere">
        {table}
      </p>
      <ul className={`${row} content-start`}>
        <Tags students={students.slice(half)} onOpen={onOpen} />
      </ul>
    </li>
  );
}

/** Moves a student to another table; said, and to be undone. */
function useSeat(classId: string) {
  const { edit } = useStudentActions(classId);
  const { say } = useMessages();
  return (student: Student, table: string) =>
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
}

/** The seating plan of the class room, drawn as the floor: tables from above, names in their seats, pressed to move. */
export function SeatingPlan({ classId, students, tables }: { classId: string; students: Student[]; tables: string[] }) {
  const seat = useSeat(classId);
  const [open, setOpen] = useState<{ student: Student; at: DOMRect } | null>(null);
  const onOpen: Open = (student, at) => setOpen({ student, at });
  const sittingAt = (table: string | null) =>
    students.filter((student) => student.seatable !== false && (student.table ?? null) === table);
  const without = sittingAt(null);
  return (
    <>
      <p className="mb-2 text-sm text-soft print:hidden">
        {tables.length === 0 ? m.roster_planEmpty() : m.roster_planLead()}
      </p>
      <div className="floor-paper border border-ink p-5">
        <ul className="grid grid-cols-[repeat(auto-fit,minmax(14rem,1fr))] gap-6">
          {tables.map((table) => (
            <PlanTable key={table} table={table} students={sittingAt(table)} onOpen={onOpen} />
          ))}
        </ul>
        {without.length > 0 && (
          <div className={tables.length === 0 ? '' : 'mt-6 border-t-4 border-ink pt-3'}>
            <p className="font-semibold">{m.roster_planNone()}</p>
            <ul className="mt-1 flex flex-wrap gap-1.5">
              <Tags students={without} onOpen={onOpen} />
            </ul>
          </div>
        )}
      </div>
      {open !== null && (
        <Seat
          student={open.student}
          tables={tables}
          at={open.at}
          onTable={(table) => seat(open.student, table)}
          onClose={() => setOpen(null)}
        />
      )}
    </>
  );
}
