// Which view of a lesson its page shows, and of which segment; it stands in the page's address.
import { use } from 'react';
import { useSearchParams } from 'react-router';
import type { Schema } from '../../../api/client';
import { LessonPartsContext } from '../laterParts';

/** `later`: what an area after this one shows (LessonParts). */
export type View = 'later' | 'floor' | 'work' | 'rooms' | 'original';
const views: View[] = ['floor', 'work', 'rooms', 'original'];
/** Of a lesson that is over there is what came of it, and nothing to plan. */
const viewsOver: View[] = ['floor', 'work', 'rooms'];

export function useShownView(lesson: Schema['LessonView']) {
  const [search, setSearch] = useSearchParams();
  const later = use(LessonPartsContext).useView(lesson);
  const own = lesson.endedAt === null ? views : viewsOver;
  const available: View[] = later === null ? own : ['later', ...own];
  const segment = lesson.order.segments.find((one) => one.id === lesson.order.now);
  /** What comes first in a share-out, and when a lesson is over. */
  const first = later !== null && (segment?.kind === 'shareOut' || lesson.endedAt !== null) ? 'later' : 'floor';
  const view = available.find((one) => one === search.get('view')) ?? first;
  const ofSegment = (segment: string | null): Record<string, string> =>
    segment === null || segment === lesson.roundNow.segmentId ? {} : { segment };
  const go = (to: View, segment: string | null) =>
    setSearch({ ...(to === first ? {} : { view: to }), ...(segment === null ? {} : { segment }) });
  return {
    available,
    /** What the later view is called; null while there is none. */
    later,
    view,
    /** The group whose copies are looked at first. */
    visited: search.get('group'),
    worksheet: search.get('worksheet'),
    setView: (to: View) => go(to, search.get('segment')),
    showSegment: (segment: string) => setSearch({ ...(view === first ? {} : { view }), ...ofSegment(segment) }),
    showRoundNow: () => go(view, null),
    showWork: (group: string) => setSearch({ view: 'work', group }),
    showOriginal: (original: string, segment: string) =>
      setSearch({ view: 'original', worksheet: original, ...ofSegment(segment) }),
  };
}
