// A lesson with a grouping, a copy of it, or its removal.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, take } from '../../../api/client';
import { useMessages } from '../../../ui/page/messages';
import * as m from '#messages';
import type { Desk } from './useDesk';

const usualMinutes = 50;

/** What becomes of a grouping: a lesson with it, a copy of it, or taking it away with the way back. */
export function useKeeping(desk: Desk) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { say, fail } = useMessages();
  const path = { params: { path: { id: desk.id } } };
  const listAgain = () => queries.invalidateQueries({ queryKey: ['class', desk.classId] });
  const copy = useMutation({
    mutationFn: () =>
      take(
        api.POST('/api/staff/groupings/{id}/copy', { ...path, body: { name: m.desk_copyName({ name: desk.name }) } }),
      ),
    onSuccess: (made) => void navigate(`/groupings/${made.id}`),
    onError: fail,
  });
  const restore = useMutation({
    mutationFn: () => take(api.POST('/api/staff/groupings/{id}/restore', path)),
    onSettled: listAgain,
    onError: fail,
  });
  const remove = useMutation({
    mutationFn: () => take(api.DELETE('/api/staff/groupings/{id}', path)),
    onSuccess: async () => {
      say(m.desk_removed({ name: desk.name }), () => restore.mutate());
      await listAgain();
      await navigate(`/classes/${desk.classId}`);
    },
    onError: fail,
  });
  const plan = useMutation({
    mutationFn: () =>
      take(
        api.POST('/api/staff/classes/{id}/lessons', {
          params: { path: { id: desk.classId } },
          body: { title: desk.name, minutes: usualMinutes, grouping: desk.id },
        }),
      ),
    onSuccess: (lesson) => void navigate(`/lessons/${lesson.id}`),
    onError: fail,
  });
  return { copy, remove, plan };
}
