import { useQuery } from '@tanstack/react-query';
import { api, take, whole } from '../../api/client';

/** What came of a lesson. */
export const useRecord = (lesson: string) =>
  useQuery({
    queryKey: ['record', lesson],
    queryFn: async () =>
      whole(await take(api.GET('/api/staff/lessons/{id}/record', { params: { path: { id: lesson } } }))),
  });
