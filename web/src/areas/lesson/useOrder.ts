// Changes a running order and what is in it.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, take, type Schema } from '../../api/client';
import { useMessages } from '../../ui/page/messages';
import * as m from '#messages';
import { asOrdered, type Order, type Ordered } from './orderMoves';

type Edit = Schema['EditSegment'];

/** Changes the running order of a lesson and what is in it. */
export function useOrder(lessonId: string, order: Order) {
  const queries = useQueryClient();
  const { fail, say } = useMessages();
  const refresh = () => queries.invalidateQueries({ queryKey: ['lesson', lessonId] });
  const change = useMutation({
    mutationFn: ({ segments, basedOn }: { segments: Ordered[]; basedOn: number }) =>
      take(
        api.PUT('/api/staff/lessons/{id}/running-order', {
          params: { path: { id: lessonId } },
          body: { basedOn, segments },
        }),
      ),
    onSettled: refresh,
    onError: fail,
  });
  const edit = useMutation({
    mutationFn: ({ id, body }: { id: string; body: Edit }) =>
      take(api.PATCH('/api/staff/segments/{id}', { params: { path: { id } }, body })),
    onSuccess: refresh,
  });
  const put = (segments: Ordered[], said?: string) => {
    const before = asOrdered(order.segments);
    change.mutate(
      { segments, basedOn: order.step },
      {
        onSuccess: (now) =>
          say(said ?? m.order_changed(), () => change.mutate({ segments: before, basedOn: now.step })),
      },
    );
  };
  return { put, edit: (id: string, body: Edit) => edit.mutateAsync({ id, body }), busy: change.isPending };
}
