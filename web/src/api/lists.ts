import { api, take } from './client';

/** A teacher's classes, the archived ones too. */
export const classesQuery = { queryKey: ['classes'], queryFn: () => take(api.GET('/api/staff/classes')) };

/** A teacher's lessons, of all classes. */
export const lessonsQuery = { queryKey: ['lessons'], queryFn: () => take(api.GET('/api/staff/lessons')) };

/** The groupings of a class. */
export const groupingsQuery = (id: string) => ({
  queryKey: ['groupings', id],
  queryFn: () => take(api.GET('/api/staff/classes/{id}/groupings', { params: { path: { id } } })),
});
