// Recordings of a lesson's rooms, kept as they are on the server.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { hear } from '../../../api/stream/staffStream';
import { useMessages } from '../../../ui/page/messages';

export type Recording = Schema['RecordingView'];

const keyOf = (lesson: string) => ['recordings', lesson];

export function useRecordings(lesson: string) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  useEffect(() => {
    const again = () => void queries.invalidateQueries({ queryKey: keyOf(lesson) });
    return hear({
      onMessage: (message) => {
        if (message.kind === 'recording' && message.lesson === lesson) again();
      },
      onLookAgain: again,
    });
  }, [lesson, queries]);
  const { data } = useQuery({
    queryKey: keyOf(lesson),
    queryFn: () => take(api.GET('/api/staff/lessons/{id}/recordings', { params: { path: { id: lesson } } })),
  });
  const onSettled = () => queries.invalidateQueries({ queryKey: keyOf(lesson) });
  const set = useMutation({
    mutationFn: ({ place, on }: { place: string; on: boolean }) =>
      take(
        api.PUT('/api/staff/lessons/{id}/rooms/{place}/recording', {
          params: { path: { id: lesson, place } },
          body: { on },
        }),
      ),
    onSettled,
    onError: fail,
  });
  const remove = useMutation({
    mutationFn: (id: string) => take(api.DELETE('/api/staff/recordings/{id}', { params: { path: { id } } })),
    onSettled,
    onError: fail,
  });
  return { days: data?.days ?? 0, mayDelete: data?.mayDelete ?? false, all: data?.recordings ?? [], set, remove };
}
