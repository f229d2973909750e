// Gives commands to a lesson, each once.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, freshKey, take, type Schema } from '../../api/client';
import { isDown } from '../../api/line';
import { isPassing } from '../../api/problem';
import { useMessages } from '../../ui/page/messages';
import { isOtherLessonOn, useAskToLeave } from './LeaveOther';

type Command = Schema['GiveCommand'];

/** Gives commands to a lesson. Each has a key of its own, so that one sent again over a bad line is done once. */
export function useCommand(lessonId: string) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const askToLeave = useAskToLeave();
  const give = useMutation({
    mutationFn: ({ key, command }: { key: string; command: Command }) =>
      take(
        api.POST('/api/staff/lessons/{id}/commands', {
          params: { path: { id: lessonId } },
          headers: { 'Idempotency-Key': key, Prefer: 'return=minimal' },
          body: command,
        }),
      ),
    // Where there was no answer the teacher is told so: it is not sent again behind their back.
    retry: (times, error) => isPassing(error) && !isDown() && times < 6,
    retryDelay: (times) => 300 * 2 ** times,
    // The command is answered first, and its lesson asked for then: when many press at once, nobody's press waits for
    // what others are to be shown.
    onSuccess: () => queries.invalidateQueries({ queryKey: ['lesson', lessonId] }),
    onError: (error, { command: asked }) =>
      isOtherLessonOn(error)
        ? askToLeave((leaving) => give.mutate({ key: freshKey(), command: { ...asked, leaving } }))
        : fail(error),
  });
  return give;
}

export function command(kind: Command['kind'], more: Omit<Command, 'kind'> = {}): { key: string; command: Command } {
  return { key: freshKey(), command: { kind, ...more } };
}
