// Has a set-up list carried out, and looks whether it still holds.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, take, type Schema } from '../../api/client';
import { sourceOf } from '../rooms/sources';
import { useMessages } from '../../ui/page/messages';

type Lesson = Schema['LessonView'];

/**
 * Services forget: while a round is planned, it is looked now and then whether what was made outside is still there.
 */
export function useLooking(lesson: Lesson, isPlanned: boolean) {
  const id = lesson.round.id;
  const isOutside = lesson.rooms.some((room) => sourceOf(room.source).answers && room.state !== 'planned');
  useQuery({
    queryKey: ['look', id],
    queryFn: async () => {
      await take(api.POST('/api/staff/rounds/{id}/look', { params: { path: { id } } }));
      return true;
    },
    enabled: isPlanned && isOutside && lesson.setUp?.running !== true,
    staleTime: 60_000,
    retry: false,
  });
}

/** Has the set-up list of a round carried out as it was shown, and what failed of it tried again. */
export function useSetUp(lesson: Pick<Lesson, 'id' | 'round' | 'setUp'>) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const refresh = () =>
    Promise.all([
      queries.invalidateQueries({ queryKey: ['lesson', lesson.id] }),
      queries.invalidateQueries({ queryKey: ['setUpList', lesson.round.id] }),
      queries.invalidateQueries({ queryKey: ['sending', lesson.round.id] }),
    ]);
  const carryOut = useMutation({
    mutationFn: (body: Schema['CarryOut']) =>
      take(api.POST('/api/staff/rounds/{id}/set-up', { params: { path: { id: lesson.round.id } }, body })),
    onSettled: refresh,
    onError: fail,
  });
  const again = useMutation({
    mutationFn: ({ setUp, position }: { setUp: string; position: number | null }) =>
      take(api.POST('/api/staff/set-ups/{id}/again', { params: { path: { id: setUp } }, body: { position } })),
    onSettled: refresh,
    onError: fail,
  });
  return { carryOut, again };
}
