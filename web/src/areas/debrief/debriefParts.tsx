// What this area puts into a lesson's page.
import type { Schema } from '../../api/client';
import { part } from '../../ui/later/lazily';
import * as m from '#messages';
import type { LessonParts } from '../live/laterParts';
import { useDebrief, useDebriefHints } from './useDebrief';
import { WorkPress } from './WorkPress';

const ShareOut = part(
  () => import('./ShareOut'),
  (file) => file.ShareOut,
);
const TalkPanel = part(
  () => import('./TalkPanel'),
  (file) => file.TalkPanel,
);
const SumsView = part(
  () => import('./sum/SumsView'),
  (file) => file.SumsView,
);
const TurnsLine = part(
  () => import('./TurnsLine'),
  (file) => file.TurnsLine,
);
const ShownBar = part(
  () => import('./ShownBar'),
  (file) => file.ShownBar,
);

function Bar({ lesson }: { lesson: Schema['LessonView'] }) {
  useDebriefHints(lesson.id, lesson.order.now);
  const debrief = useDebrief(lesson);
  return debrief?.shown == null ? null : <ShownBar lesson={lesson} debrief={debrief} shown={debrief.shown} />;
}

function useView(lesson: Schema['LessonView']): string | null {
  const debrief = useDebrief(lesson);
  const segment = lesson.order.segments.find((one) => one.id === lesson.order.now);
  if (lesson.endedAt !== null) return null;
  if (segment?.kind === 'shareOut') return m.debrief_shareOut();
  return debrief?.shown == null ? null : m.debrief_onScreens();
}

export const debriefParts: Omit<LessonParts, 'AroundFloor' | 'TryOut'> = {
  Bar,
  RibbonLine: ({ lesson }) => <TurnsLine lesson={lesson} />,
  useView,
  View: ({ desk }) => <ShareOut lesson={desk.lesson} />,
  Panel: ({ desk, children }) => <TalkPanel desk={desk}>{children}</TalkPanel>,
  WorkByQuestion: SumsView,
  WorkPress,
};
