// The teacher's notes beside what a student writes.
import { useEffect, useState } from 'react';
import { api, take } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { useShown } from '../../../ui/useShown';
import * as m from '#messages';
import type { Copy } from '../blocks';

type Note = Copy['notes'][number];
interface Mate {
  id: string;
  name: string;
}

/** The group's answer, being written. */
function AnswerForm({
  copy,
  note,
  text,
  onText,
}: {
  copy: Copy;
  note: Note;
  text: string;
  /** Null: it has been sent, or is not to be. */
  onText: (text: string | null) => void;
}) {
  const [state, setState] = useState<'ready' | 'busy' | 'failed'>('ready');
  const params = { path: { id: copy.id, note: note.id } };
  const send = () => {
    setState('busy');
    take(api.PUT('/api/student/copies/{id}/notes/{note}', { params, body: { answer: text } })).then(
      () => onText(null),
      () => setState('failed'),
    );
  };
  return (
    <form
      className="mt-2 flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <textarea
        aria-label={m.student_margin_answerTo()}
        rows={2}
        maxLength={600}
        value={text}
        onChange={(event) => onText(event.target.value)}
        className="w-full border border-ink bg-sheet px-2 py-1.5"
      />
      <span className="flex flex-wrap items-center gap-2">
        <Button type="submit" busy={state === 'busy'}>
          {m.student_margin_send()}
        </Button>
        <Button look="quiet" onClick={() => onText(null)}>
          {m.student_margin_not()}
        </Button>
        {state === 'failed' && <span role="alert">{m.student_margin_failed()}</span>}
      </span>
    </form>
  );
}

function OneNote({ copy, note, me, members }: { copy: Copy; note: Note; me: string; members: Mate[] }) {
  const [text, setText] = useState<string | null>(null);
  const isSeen = note.seenAt !== null;
  const [place, shown] = useShown();
  useEffect(() => {
    if (isSeen || !shown) return;
    take(
      api.POST('/api/student/copies/{id}/notes/{note}/seen', { params: { path: { id: copy.id, note: note.id } } }),
    ).catch(() => undefined);
  }, [copy.id, note.id, isSeen, shown]);
  const who =
    note.answeredBy === me ? m.student_margin_you() : members.find((mate) => mate.id === note.answeredBy)?.name;
  const about = members.find((mate) => mate.id === note.owner);
  return (
    <div ref={place} className="border-s-[6px] border-ink bg-wash px-3 py-2">
      <p className="text-sm text-soft">
        {note.by}
        {about !== undefined &&
          ` · ${about.id === me ? m.student_margin_yours() : m.student_copy_of({ name: about.name })}`}
      </p>
      <p className="font-semibold whitespace-pre-wrap wrap-anywhere">{note.text}</p>
      {note.answer !== '' && text === null && (
        <p className="mt-1 whitespace-pre-wrap wrap-anywhere">
          <span className="text-soft">{who ?? m.student_copy_somebody()}:</span> {note.answer}
        </p>
      )}
      {text === null ? (
        <Button look="quiet" className="-ms-2" onClick={() => setText(note.answer)}>
          {note.answer === '' ? m.student_margin_answer() : m.student_margin_change()}
        </Button>
      ) : (
        <AnswerForm copy={copy} note={note} text={text} onText={setText} />
      )}
    </div>
  );
}

/** What the teacher has written beside a place, and the group's answer. */
export function Margin({ copy, slot, me, members }: { copy: Copy; slot: string; me: string; members: Mate[] }) {
  const notes = copy.notes.filter((note) => note.slot === slot);
  if (notes.length === 0) return null;
  return (
    <aside aria-label={m.student_margin_title()} className="mb-3 space-y-2">
      {notes.map((note) => (
        <OneNote key={note.id} copy={copy} note={note} me={me} members={members} />
      ))}
    </aside>
  );
}
