// Which view of a lesson its page shows, and of which segment; it stands in the page's address.
import { useSearchParams } from 'react-router';
import type { Schema } from '../../../api/client';

export type View = 'floor' | 'work' | 'rooms' | 'original';
const views: View[] = ['floor', 'work', 'rooms', 'original'];
/** Of a lesson that is over there is what came of it, and nothing to plan. */
const viewsOver: View[] = ['floor', 'work', 'rooms'];

export function useShownView(lesson: Schema['LessonView']) {
  const [search, setSearch] = useSearchParams();
  const available = lesson.endedAt === null ? views : viewsOver;
  const view = available.find((one) => one === search.get('view')) ?? 'floor';
  const ofSegment = (segment: string | null): Record<string, string> =>
    segment === null || segment === lesson.roundNow.segmentId ? {} : { segment };
  const go = (to: View, segment: string | null) =>
    setSearch({ ...(to === 'floor' ? {} : { view: to }), ...(segment === null ? {} : { segment }) });
  return {
    available,
    view,
    /** The group whose copies are looked at first. */
    visited: search.get('group'),
    worksheet: search.get('worksheet'),
    setView: (to: View) => go(to, search.get('segment')),
    showSegment: (segment: string) => setSearch({ ...(view === 'floor' ? {} : { view }), ...ofSegment(segment) }),
    showRoundNow: () => go(view, null),
    showWork: (group: string) => setSearch({ view: 'work', group }),
    showOriginal: (original: string, segment: string) =>
      setSearch({ view: 'original', worksheet: original, ...ofSegment(segment) }),
  };
}
