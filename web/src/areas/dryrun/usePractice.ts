// A lesson that is practised: begun, gone back to, left.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, take } from '../../api/client';
import { isProblem } from '../../api/problem';
import { useMessages } from '../../ui/page/messages';

export function usePractice(lesson: string) {
  const queries = useQueryClient();
  const go = useNavigate();
  const { fail } = useMessages();
  const path = { params: { path: { id: lesson } } };
  const begin = useMutation({
    mutationFn: () => take(api.POST('/api/staff/lessons/{id}/practice', path)),
    onSuccess: ({ practice }) => go(`/lessons/${practice}`),
    onError: fail,
  });
  const leave = useMutation({
    mutationFn: () => take(api.DELETE('/api/staff/lessons/{id}/practice', path)),
    onSuccess: async ({ lesson: real }) => {
      await go(`/lessons/${real}`);
      queries.removeQueries({ queryKey: ['lesson', lesson] });
    },
    // Left on another page already: there is nothing to go back from.
    onError: (error) => (isProblem(error, 404) ? void go('/') : fail(error)),
  });
  return { begin, leave };
}
