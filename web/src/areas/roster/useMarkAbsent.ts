import { useMutation } from '@tanstack/react-query';
import { api, take } from '../../api/client';

/** Marks somebody absent today, or here after all. */
export function useMarkAbsent(done: () => unknown, fail: (error: unknown) => void) {
  return useMutation({
    mutationFn: ({ id, absent }: { id: string; absent: boolean }) =>
      take(api.POST('/api/staff/students/{id}/absent', { params: { path: { id } }, body: { absent } })),
    onSettled: done,
    onError: fail,
  });
}
