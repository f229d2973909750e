// Exit tickets while they come in: who has answered, what, and until when they can.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Field } from '../../../ui/fields/Field';
import { Sheet } from '../../../ui/slips/Sheet';
import * as m from '#messages';
import { list } from '../../../words/list';
import { forInput, fromInput, whenText } from '../../../words/when';
import { SumCard } from '../sum/SumCard';
import { useSums } from '../sum/useSums';
import { answeredOf, ticketsOf, type ExitTicket } from './tickets';

/** So many names are named. */
const named = 6;

function useClose(lesson: string, segment: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (closesAt: number | null) =>
      take(api.PUT('/api/staff/segments/{id}/closing', { params: { path: { id: segment } }, body: { closesAt } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['lesson', lesson] }),
  });
}

/** Until when it can be answered: as it is, now no more, or until a time. */
function Closing({ lesson, ticket }: { lesson: Schema['LessonView']; ticket: ExitTicket }) {
  const close = useClose(lesson.id, ticket.segment);
  const [draft, setDraft] = useState<string | null>(null);
  const isClosed = ticket.closesAt !== null && ticket.closesAt <= lesson.serverNow;
  const at = draft === null ? null : fromInput(draft);
  return (
    <>
      <p className="text-soft">
        {isClosed
          ? m.exit_closed()
          : ticket.closesAt === null
            ? m.exit_open()
            : m.exit_openUntil({ when: whenText(ticket.closesAt) })}
      </p>
      <div className="mt-1.5 flex flex-wrap gap-2">
        <Button busy={close.isPending} onClick={() => close.mutate(isClosed ? null : 0)}>
          {isClosed ? m.exit_openAgain() : m.exit_close()}
        </Button>
        {draft === null && (
          <Button look="quiet" onClick={() => setDraft(forInput(ticket.closesAt ?? lesson.serverNow + 24 * 3_600_000))}>
            {m.exit_setTime()}
          </Button>
        )}
      </div>
      {draft !== null && (
        <form
          className="mt-2 flex flex-wrap items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (at !== null) close.mutate(at, { onSuccess: () => setDraft(null) });
          }}
        >
          <Field
            label={m.exit_until()}
            type="datetime-local"
            value={draft}
            onChange={(event) => setDraft(event.target.value)}
          />
          <Button type="submit" disabled={at === null} busy={close.isPending}>
            {m.exit_saveTime()}
          </Button>
        </form>
      )}
      {close.isError && <p className="mt-1 font-semibold text-lost">{problemText(close.error)}</p>}
    </>
  );
}

function Ticket({ lesson, ticket }: { lesson: Schema['LessonView']; ticket: ExitTicket }) {
  const sums = useSums(ticket.round).data ?? [];
  const [isOpen, setOpen] = useState(false);
  const { answered, all, missing } = answeredOf(sums, ticket.original);
  return (
    <li className="border-b border-line py-2 last:border-0">
      <p className="font-semibold wrap-anywhere">{ticket.title}</p>
      {all > 0 && (
        <p role="status">
          <b className="text-lg tabular-nums">{answered}</b> {m.exit_of({ all })}
        </p>
      )}
      {missing.length > 0 && answered > 0 && (
        <p className="text-soft wrap-anywhere">
          {m.debrief_question_missing({ n: missing.length, names: list(missing.slice(0, named)) })}
        </p>
      )}
      <Button className="my-1.5 font-semibold" disabled={answered === 0} onClick={() => setOpen(true)}>
        {m.exit_see()}
      </Button>
      <Closing lesson={lesson} ticket={ticket} />
      <Sheet open={isOpen} onClose={() => setOpen(false)} title={ticket.title} wide="page">
        <div className="grid items-start gap-4 xl:grid-cols-2">
          {sums
            .filter((one) => one.original === ticket.original)
            .map((one) => (
              <SumCard key={one.block.id} lesson={lesson} round={ticket.round} sum={one} />
            ))}
        </div>
        <p className="mt-4">
          <a className="underline" href={`/api/staff/rounds/${ticket.round}/sums.pdf`}>
            {m.record_pdf()}
          </a>
        </p>
      </Sheet>
    </li>
  );
}

export function ExitTickets({ lesson }: { lesson: Schema['LessonView'] }) {
  const tickets = ticketsOf(lesson);
  if (tickets.length === 0) return null;
  return (
    <section aria-label={m.exit_title()} className="border-t-2 border-ink pt-1.5 text-sm">
      <h2 className="mb-1 font-sans text-sm font-semibold text-soft">{m.exit_title()}</h2>
      <ul>
        {tickets.map((ticket) => (
          <Ticket key={`${ticket.segment}${ticket.original}`} lesson={lesson} ticket={ticket} />
        ))}
      </ul>
    </section>
  );
}
