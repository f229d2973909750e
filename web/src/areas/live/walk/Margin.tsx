// The margin beside what a group writes, as the teacher sees it.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema, type Whole } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import { useMessages } from '../../../ui/page/messages';
import { timeText } from '../../../words/when';
import { withMessage } from '../../materials/answers';
import { useKept } from '../../../ui/useKept';
import * as m from '#messages';

type Copy = Whole<Schema['CopyView']>;

type Note = Copy['notes'][number];

/** Notes of one copy: write one, or wipe one out. What is shown follows at once. */
function useNotes(copy: Copy, roundId: string, slot: string) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const put = (message: Parameters<typeof withMessage>[1]) =>
    queries.setQueryData<Copy[]>(['copies', roundId], (all) => all?.map((one) => withMessage(one, message) ?? one));
  const write = useMutation({
    mutationFn: (note: { text: string; owner: string | null }) =>
      take(
        api.POST('/api/staff/copies/{id}/notes', {
          params: { path: { id: copy.id } },
          body: { slot, ...note },
        }),
      ),
    onSuccess: (note) => put({ kind: 'margin', copy: copy.id, note, gone: null }),
    onError: fail,
  });
  const wipe = useMutation({
    mutationFn: (id: string) => take(api.DELETE('/api/staff/margin-notes/{id}', { params: { path: { id } } })),
    onSuccess: (_, id) => put({ kind: 'margin', copy: copy.id, note: null, gone: id }),
    onError: fail,
  });
  return { write, wipe };
}

function NoteLine({
  note,
  nameOf,
  busy,
  onWipe,
}: {
  note: Note;
  nameOf: (id: string) => string;
  busy: boolean;
  onWipe: () => void;
}) {
  return (
    <div className="py-1">
      <p className="wrap-anywhere">
        {note.owner !== null && (
          <span className="font-semibold">{m.round_margin_to({ name: nameOf(note.owner) })} </span>
        )}
        <span className="whitespace-pre-wrap">{note.text}</span>{' '}
        <span className="text-soft">
          {note.by}, {timeText(note.at)} · {note.seenAt === null ? m.round_margin_notSeen() : m.round_margin_seen()}
        </span>{' '}
        <Button
          look="quiet"
          className="text-sm"
          aria-label={`${m.round_margin_wipe()}: ${note.text}`}
          busy={busy}
          onClick={onWipe}
        >
          {m.round_margin_wipe()}
        </Button>
      </p>
      {note.answer !== '' && (
        <p className="border-s-2 border-line ps-2 wrap-anywhere">
          <span className="font-semibold">{nameOf(note.answeredBy ?? '')}</span>{' '}
          <span className="whitespace-pre-wrap">{note.answer}</span>
        </p>
      )}
    </div>
  );
}

function WriteNote({
  text,
  owners,
  nameOf,
  busy,
  onText,
  onWrite,
  onNot,
}: {
  text: string;
  owners: string[];
  nameOf: (id: string) => string;
  busy: boolean;
  onText: (text: string) => void;
  onWrite: (about: string) => void;
  onNot: () => void;
}) {
  const [about, setAbout] = useState('');
  const aboutWhom = [
    { value: '', label: m.round_margin_aboutAll() },
    ...owners.map((id) => ({ value: id, label: m.round_margin_aboutOne({ name: nameOf(id) }) })),
  ];
  return (
    <form
      className="flex flex-col gap-1.5 py-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() !== '') onWrite(about);
      }}
    >
      <label>
        <span className="sr-only">{m.round_margin_write()}</span>
        <textarea
          ref={(field) => {
            if (field !== null && text === '') field.focus();
          }}
          rows={2}
          maxLength={600}
          value={text}
          placeholder={m.round_margin_hint()}
          onChange={(event) => onText(event.target.value)}
          className="w-full border border-ink bg-sheet px-2 py-1.5"
        />
      </label>
      {owners.length > 0 && (
        <Choice label={m.round_margin_about()} hidden value={about} options={aboutWhom} onChange={setAbout} />
      )}
      <span className="flex gap-2">
        <Button type="submit" busy={busy} disabled={text.trim() === ''}>
          {m.round_margin_put()}
        </Button>
        <Button look="quiet" onClick={onNot}>
          {m.round_margin_not()}
        </Button>
      </span>
    </form>
  );
}

/** What stands in the margin beside a place, and the way to write there. */
export function Margin({
  copy,
  roundId,
  slot,
  owners,
  nameOf,
}: {
  copy: Copy;
  roundId: string;
  slot: string;
  /** Who has an answer of their own there, and may be written to about it. */
  owners: string[];
  nameOf: (id: string) => string;
}) {
  const { write, wipe } = useNotes(copy, roundId, slot);
  const [text, setText, forget] = useKept(`margin:${copy.id}:${slot}`);
  const [writing, setWriting] = useState(text !== '');
  const leave = () => {
    forget();
    setWriting(false);
  };
  return (
    <aside aria-label={m.round_margin_title()} className="mt-1 ms-1 border-s-2 border-dashed border-ink ps-3 text-sm">
      {copy.notes
        .filter((note) => note.slot === slot)
        .map((note) => (
          <NoteLine
            key={note.id}
            note={note}
            nameOf={nameOf}
            busy={wipe.isPending}
            onWipe={() => wipe.mutate(note.id)}
          />
        ))}
      {writing ? (
        <WriteNote
          text={text}
          owners={owners}
          nameOf={nameOf}
          busy={write.isPending}
          onText={setText}
          onWrite={(about) => write.mutate({ text, owner: about === '' ? null : about }, { onSuccess: leave })}
          onNot={leave}
        />
      ) : (
        <Button look="quiet" className="-ms-2 text-sm" onClick={() => setWriting(true)}>
          {m.round_margin_write()}
        </Button>
      )}
    </aside>
  );
}
