// A lesson's page, with what there is for talking about the work.
import { LessonPage as LivePage } from '../live/LessonPage';
import { LessonPartsContext } from '../live/laterParts';
import { debriefParts } from './debriefParts';

export function LessonPage() {
  return (
    <LessonPartsContext value={debriefParts}>
      <LivePage />
    </LessonPartsContext>
  );
}
