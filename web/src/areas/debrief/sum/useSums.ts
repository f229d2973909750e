// The sums of a round, as they come.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, take, whole, type Schema } from '../../../api/client';
import { hear } from '../../../api/stream/staffStream';

/** While students write, sums are asked for so often. */
const followEvery = 3_000;

/** The sums of a round, kept about as new as they are on the server. */
export function useSums(roundId: string) {
  const queries = useQueryClient();
  useEffect(() => {
    let soon: ReturnType<typeof setTimeout> | undefined;
    const later = () => {
      soon ??= setTimeout(() => {
        soon = undefined;
        void queries.invalidateQueries({ queryKey: ['sums', roundId] });
      }, followEvery);
    };
    const stop = hear({
      onMessage: (message) => {
        if (message.kind === 'answer' || message.kind === 'change') later();
      },
      onLookAgain: later,
    });
    return () => {
      stop();
      clearTimeout(soon);
    };
  }, [roundId, queries]);
  return useQuery({
    queryKey: ['sums', roundId],
    queryFn: async () =>
      whole(await take(api.GET('/api/staff/rounds/{id}/sums', { params: { path: { id: roundId } } }))),
  });
}

/** Takes an answer out of like ones, or puts it back among them. */
export function useApart(roundId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (body: Schema['SetApart']) =>
      whole(await take(api.PUT('/api/staff/rounds/{id}/sums/apart', { params: { path: { id: roundId } }, body }))),
    onSuccess: (sums) => queries.setQueryData(['sums', roundId], sums),
  });
}
