// Where pictures and recordings of a copy are to be had.
import { api, longFetch, take } from '../../../api/client';
import type { MediaPlace } from '../media';

const places = new Map<string, MediaPlace>();

/** Pictures and recordings of a copy: the same object for the same copy, so that nothing is drawn anew. */
export function mediaOf(copyId: string): MediaPlace {
  const made: MediaPlace = places.get(copyId) ?? {
    sheet: copyId,
    at: (id) => `/api/student/copies/${copyId}/media/${id}`,
    put: (content) =>
      take(
        api.POST('/api/student/copies/{id}/media', {
          params: { path: { id: copyId } },
          body: { content },
          fetch: longFetch,
        }),
      ),
  };
  places.set(copyId, made);
  return made;
}
