// A class over the term, as the server has it.
import { useQuery } from '@tanstack/react-query';
import { api, take, whole, type Schema, type Whole } from '../../../api/client';

export type TermView = Whole<Schema['TermView']>;
export type TermStudent = TermView['students'][number];

export function useTerm(classId: string) {
  return useQuery({
    queryKey: ['term', classId],
    queryFn: async () =>
      whole(await take(api.GET('/api/staff/classes/{id}/term', { params: { path: { id: classId } } }))),
  });
}
