import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { useMessages } from '../../../ui/page/messages';
import { Sheet } from '../../../ui/slips/Sheet';
import * as m from '#messages';

/** Later changes to originals, shown as a list before they come to the copies. */
export function BringChanges({ lesson }: { lesson: Schema['LessonView'] }) {
  const queries = useQueryClient();
  const { say, fail } = useMessages();
  const [open, setOpen] = useState(false);
  const path = { params: { path: { id: lesson.round.id } } };
  const changes = useQuery({
    queryKey: ['changes', lesson.round.id],
    queryFn: () => take(api.GET('/api/staff/rounds/{id}/copies/changes', path)),
    enabled: open,
    staleTime: 0,
  });
  const bring = useMutation({
    mutationFn: () => take(api.POST('/api/staff/rounds/{id}/copies/changes', path)),
    onSuccess: (done) => {
      say(m.edit_brought({ n: done.brought }));
      setOpen(false);
      void queries.invalidateQueries({ queryKey: ['copies', lesson.round.id] });
    },
    onSettled: () => queries.invalidateQueries({ queryKey: ['lesson', lesson.id] }),
    onError: fail,
  });
  return (
    <>
      <Button look="quiet" className="text-sm text-ink" onClick={() => setOpen(true)}>
        {m.next_bringCopies()}
      </Button>
      <Sheet open={open} onClose={() => setOpen(false)} title={m.next_bringCopies()} wide>
        <p className="text-soft">{m.edit_bringLead()}</p>
        {changes.isError && <p role="alert">{problemText(changes.error)}</p>}
        {changes.isPending && <p className="py-4 text-soft">{m.common_loading()}</p>}
        <ul className="mt-3 max-h-[50vh] divide-y divide-line overflow-y-auto border-y border-line">
          {changes.data?.map((one, i) => (
            <li key={i} className="flex flex-wrap items-baseline gap-x-3 py-2">
              <span className="font-semibold">{m.edit_changes({ key: one.change })}</span>
              <span className="line-clamp-2 min-w-0 flex-1 wrap-anywhere">{one.what}</span>
              <span className="text-sm text-soft">{m.edit_inCopies({ n: one.copies })}</span>
            </li>
          ))}
        </ul>
        <Button
          look="main"
          className="mt-5"
          disabled={changes.data === undefined}
          busy={bring.isPending}
          onClick={() => bring.mutate()}
        >
          {m.edit_bring()}
        </Button>
      </Sheet>
    </>
  );
}
