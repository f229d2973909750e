// The copies of a round, kept as they are on the server by whoever follows its lesson.
import { useQuery } from '@tanstack/react-query';
import { api, take, whole } from '../../../api/client';
import { asked } from '../../materials/answers';

/** The copies of a round with all that has been written in them. */
export function useCopies(roundId: string) {
  return useQuery({
    queryKey: ['copies', roundId],
    queryFn: () =>
      asked(async () =>
        whole(await take(api.GET('/api/staff/rounds/{id}/copies', { params: { path: { id: roundId } } }))),
      ),
  });
}
