import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, take } from '../../api/client';
import { Button } from '../../ui/Button';
import { useMessages } from '../../ui/page/messages';
import * as m from '#messages';

/** Another address for the class page, where the old one has come to the wrong hands. */
export function NewClassPage({ lesson }: { lesson: string }) {
  const queries = useQueryClient();
  const { say, fail } = useMessages();
  const renew = useMutation({
    mutationFn: () => take(api.POST('/api/staff/lessons/{id}/class-page', { params: { path: { id: lesson } } })),
    onSuccess: () => say(m.door_newClassPageDone()),
    onError: fail,
    onSettled: () => queries.invalidateQueries({ queryKey: ['lesson', lesson] }),
  });
  return (
    <Button look="quiet" className="ms-3 text-sm" busy={renew.isPending} onClick={() => renew.mutate()}>
      {m.door_newClassPage()}
    </Button>
  );
}
