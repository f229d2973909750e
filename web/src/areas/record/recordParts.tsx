// What this area puts into a lesson's page: its record once it is over.
import type { Schema } from '../../api/client';
import { part } from '../../ui/later/lazily';
import * as m from '#messages';
import { debriefParts } from '../debrief/debriefParts';
import type { LessonParts } from '../live/laterParts';
import { ReplayFloor } from './replay/ReplayFloor';

const Record = part(
  () => import('./Record'),
  (file) => file.Record,
);

function useView(lesson: Schema['LessonView']): string | null {
  const name = debriefParts.useView(lesson);
  return lesson.endedAt === null ? name : m.record_title();
}

export const recordParts: Omit<LessonParts, 'TryOut'> = {
  ...debriefParts,
  useView,
  AroundFloor: ({ desk, children }) =>
    desk.over ? <ReplayFloor lesson={desk.lesson.id}>{children}</ReplayFloor> : children,
  View: ({ desk }) => (desk.over ? <Record of={desk.lesson} /> : <debriefParts.View desk={desk} />),
};
