// Tables a student can sit down at.
import { useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { markOf } from '../../../ui/signs/marks';
import { Sign } from '../../../ui/signs/Sign';
import * as m from '#messages';
import { secondsUntil } from '../../../api/clock';
import { Duration } from '../../../ui/signs/Duration';

type Table = Schema['SignUpTable'];

function TableButton({ table, busy, onTake }: { table: Table; busy: boolean; onTake: () => void }) {
  const { colour } = markOf(table.mark);
  const left = Math.max(0, table.seats - table.taken);
  return (
    <button
      type="button"
      disabled={busy || table.mine || left === 0}
      aria-pressed={table.mine}
      aria-label={`${m.student_now_sitHere({ name: table.name })}, ${m.student_now_seatsLeft({ n: left })}`}
      onClick={onTake}
      className={`flex w-full items-center gap-3 border-2 px-3 py-3 text-start text-xl disabled:opacity-100 ${left === 0 && !table.mine ? 'text-soft' : ''}`}
      style={{
        borderColor: table.mine ? 'var(--ink)' : colour,
        backgroundColor: table.mine ? 'var(--ink)' : `color-mix(in oklab, ${colour} 14%, var(--sheet))`,
        ...(table.mine ? { color: 'var(--ground)' } : {}),
      }}
    >
      <Sign mark={table.mark} size={24} plain />
      <span className="min-w-0 flex-1 font-semibold wrap-anywhere">{table.name}</span>
      <span className="text-base whitespace-nowrap">{m.student_now_seatsLeft({ n: left })}</span>
    </button>
  );
}

/** Tables to sit down at, while the teacher lets students choose. */
export default function SignUp({
  signUp,
  serverNow,
  onLook,
}: {
  signUp: Schema['SignUpView'];
  serverNow: number;
  onLook: () => void;
}) {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const mine = signUp.tables.find((table) => table.mine);
  const sit = (table: string) => {
    setBusy(true);
    take(api.POST('/api/student/seat', { body: { table } }))
      .then(
        () => setProblem(''),
        (error: unknown) => setProblem(problemText(error)),
      )
      .finally(() => {
        setBusy(false);
        onLook();
      });
  };
  return (
    <section>
      <h1 className="text-4xl leading-tight font-bold text-balance wrap-anywhere">
        {mine === undefined ? m.student_now_takeSeat() : m.student_now_seatTaken({ name: mine.name })}
      </h1>
      <p className="mt-1 text-lg" role="status">
        {problem !== '' ? <strong>{problem}</strong> : mine !== undefined && m.student_now_seatChange()}
        {signUp.closesAt !== null && (
          <span className="block">
            {m.student_now_closesIn()}{' '}
            <span className="font-bold">
              <Duration seconds={secondsUntil(signUp.closesAt, serverNow)} />
            </span>
          </span>
        )}
      </p>
      <ul className="mt-4 space-y-2">
        {signUp.tables.map((table) => (
          <li key={table.id}>
            <TableButton table={table} busy={busy} onTake={() => sit(table.id)} />
          </li>
        ))}
      </ul>
    </section>
  );
}
