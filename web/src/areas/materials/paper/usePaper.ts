import { useQuery } from '@tanstack/react-query';
import { api, take } from '../../../api/client';

/** A round on paper: its groups with their work, and everybody's slip. */
export function usePaper(round: string) {
  return useQuery({
    queryKey: ['paper', round],
    queryFn: () => take(api.GET('/api/staff/rounds/{id}/paper', { params: { path: { id: round } } })),
  });
}
