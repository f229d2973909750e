import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema, type Whole } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { useMessages } from '../../../ui/messages';
import { timeText } from '../../../words/when';
import { withMessage } from '../../materials/answers';
import { useKept } from '../../../ui/useKept';
import * as m from '#messages';

type Copy = Whole<Schema['CopyView']>;

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
  const queries = useQueryClient();
  const { fail } = useMessages();
  const [text, setText, forget] = useKept(`margin:${copy.id}:${slot}`);
  const [writing, setWriting] = useState(text !== '');
  const [about, setAbout] = useState('');
  const put = (message: Parameters<typeof withMessage>[1]) =>
    queries.setQueryData<Copy[]>(['copies', roundId], (all) => all?.map((one) => withMessage(one, message) ?? one));
  const write = useMutation({
    mutationFn: (what: string) =>
      take(
        api.POST('/api/staff/copies/{id}/notes', {
          params: { path: { id: copy.id } },
          body: { slot, owner: about === '' ? null : about, text: what },
        }),
      ),
    onSuccess: (note) => {
      put({ kind: 'margin', copy: copy.id, note, gone: null });
      forget();
      setWriting(false);
    },
    onError: fail,
  });
  const wipe = useMutation({
    mutationFn: (id: string) => take(api.DELETE('/api/staff/margin-notes/{id}', { params: { path: { id } } })),
    onSuccess: (_, id) => put({ kind: 'margin', copy: copy.id, note: null, gone: id }),
    onError: fail,
  });
  const notes = copy.notes.filter((note) => note.slot === slot);
  return (
    <aside aria-label={m.round_margin_title()} className="mt-1 ms-1 border-s-2 border-dashed border-ink ps-3 text-sm">
      {notes.map((note) => (
        <div key={note.id} className="py-1">
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
              busy={wipe.isPending}
              onClick={() => wipe.mutate(note.id)}
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
      ))}
      {!writing ? (
        <Button look="quiet" className="-ms-2 text-sm" onClick={() => setWriting(true)}>
          {m.round_margin_write()}
        </Button>
      ) : (
        <form
          className="flex flex-col gap-1.5 py-1"
          onSubmit={(event) => {
            event.preventDefault();
            if (text.trim() !== '') write.mutate(text);
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
              onChange={(event) => setText(event.target.value)}
              className="w-full border border-ink bg-sheet px-2 py-1.5"
            />
          </label>
          {owners.length > 0 && (
            <Choice
              label={m.round_margin_about()}
              hidden
              value={about}
              options={[
                { value: '', label: m.round_margin_aboutAll() },
                ...owners.map((id) => ({ value: id, label: m.round_margin_aboutOne({ name: nameOf(id) }) })),
              ]}
              onChange={setAbout}
            />
          )}
          <span className="flex gap-2">
            <Button type="submit" busy={write.isPending} disabled={text.trim() === ''}>
              {m.round_margin_put()}
            </Button>
            <Button
              look="quiet"
              onClick={() => {
                forget();
                setWriting(false);
              }}
            >
              {m.round_margin_not()}
            </Button>
          </span>
        </form>
      )}
    </aside>
  );
}
