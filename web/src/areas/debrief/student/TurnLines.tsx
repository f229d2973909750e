// Lines over a student's page: somebody is called on, a group has its turn.
import * as m from '#messages';
import type { ClassDebrief } from '../classDebrief';

/** Whose turn it is, for somebody of a group. */
function reportText({ report }: ClassDebrief, group: string | undefined): string | null {
  if (report === null || report.done) return null;
  const { now, next } = report;
  if (now !== null && now.id === group) return m.student_debrief_yours();
  if (next !== null && next.id === group)
    return now === null ? m.student_debrief_yoursFirst() : m.student_debrief_yoursNext({ group: now.name });
  return now === null ? null : m.student_debrief_listen({ group: now.name });
}

/** A line over the page that nobody misses. */
function Line({ text, strong }: { text: string; strong: boolean }) {
  return (
    <p
      role="status"
      className={`mb-5 border-2 border-ink p-4 text-2xl leading-tight font-semibold wrap-anywhere ${strong ? 'bg-attention text-on-accent' : 'bg-sheet'}`}
    >
      {text}
    </p>
  );
}

/** @param props.group of whoever looks */
export function TurnLines({ debrief, me, group }: { debrief: ClassDebrief; me: string; group: string | undefined }) {
  const text = reportText(debrief, group);
  const mine = group !== undefined && debrief.report?.now?.id === group;
  return (
    <>
      {debrief.called?.student === me && <Line text={m.student_debrief_called()} strong />}
      {text !== null && <Line text={text} strong={mine} />}
    </>
  );
}
