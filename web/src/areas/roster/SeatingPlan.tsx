import type { Schema } from '../../api/client';
import { words } from '../../words';

type Student = Schema['StudentView'];

/** The seating plan of the class room, drawn as the floor: tables from above, names in their seats. */
export function SeatingPlan({ students, tables }: { students: Student[]; tables: string[] }) {
  if (tables.length === 0) return <p className="border-y border-line py-8 text-soft">{words.roster.planEmpty}</p>;
  const at = (table: string | null) => students.filter((student) => student.seatable && student.table === table);
  const without = at(null);
  const tag = (student: Student) => (
    <li
      key={student.id}
      className={`border px-2 py-1 text-sm ${student.absent ? 'border-dotted border-line text-soft line-through' : 'border-ink bg-sheet'}`}
    >
      {student.name}
    </li>
  );
  return (
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
        <div className="mt-6 border-t-4 border-ink pt-3">
          <p className="font-semibold">{words.roster.planNone}</p>
          <ul className="mt-1 flex flex-wrap gap-1.5">{without.map(tag)}</ul>
        </div>
      )}
    </div>
  );
}
