import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, take, type Schema } from '../../../api/client';
import { useMessages } from '../../../ui/page/messages';
import * as m from '#messages';
import { newPage } from '../blocks';

/** Creates an empty original for the round and adds it to the round's plan. */
export function useNewOriginal(lesson: Schema['LessonView'], onMade: (id: string) => void) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  return useMutation({
    mutationFn: () =>
      take(
        api.POST('/api/staff/rounds/{id}/originals', {
          params: { path: { id: lesson.round.id } },
          body: { title: m.original_untitled(), basedOn: 0, pages: [newPage()] },
        }),
      ),
    onSuccess: async (made) => {
      await queries.invalidateQueries({ queryKey: ['lesson', lesson.id] });
      onMade(made.id);
    },
    onError: fail,
  });
}
