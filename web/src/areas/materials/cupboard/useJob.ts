// Follows something that the worker makes bit by bit.
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema } from '../../../api/client';

type Job = Schema['JobView'];

const lookEvery = 700;

/** Follows something that the worker makes bit by bit, until it is made or cannot be. */
export function useJob(): { job: Job | null; follow: (job: Job | null) => void } {
  const [first, follow] = useState<Job | null>(null);
  const id = first?.id ?? '';
  const now = useQuery({
    queryKey: ['job', id],
    queryFn: () => take(api.GET('/api/staff/jobs/{id}', { params: { path: { id } } })),
    enabled: first !== null,
    refetchInterval: ({ state }) => (state.data === undefined || state.data.state === 'working' ? lookEvery : false),
  });
  return { job: first === null ? null : (now.data ?? first), follow };
}
