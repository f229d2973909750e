// A lesson's page, with all that later areas put into it.
import { part } from '../../ui/later/lazily';
import { LessonPage as LivePage } from '../live/LessonPage';
import { LessonPartsContext, type LessonParts } from '../live/laterParts';
import { recordParts } from '../record/recordParts';

const TryOut = part(
  () => import('./TryOut'),
  (file) => file.TryOut,
);

const PracticeBar = part(
  () => import('./PracticeBar'),
  (file) => file.PracticeBar,
);

const parts: LessonParts = {
  ...recordParts,
  Bar: ({ lesson }) => (
    <>
      {lesson.practice && <PracticeBar lesson={lesson} />}
      <recordParts.Bar lesson={lesson} />
    </>
  ),
  TryOut: ({ desk }) => (desk.lesson.practice ? null : <TryOut desk={desk} />),
};

export function LessonPage() {
  return (
    <LessonPartsContext value={parts}>
      <LivePage />
    </LessonPartsContext>
  );
}
