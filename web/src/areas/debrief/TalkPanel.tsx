// The panel while everybody is together: what is done with the class, and under it what comes next.
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/Button';
import * as m from '#messages';
import type { LessonDesk } from '../live/page/useLessonDesk';
import { GoOnPress } from '../live/plan/PlanPanel';
import { CallOn } from './CallOn';
import { ExitTickets } from './exit/ExitTickets';
import { GalleryPanel } from './gallery/GalleryPanel';
import { QuickQuestion } from './question/QuickQuestion';
import { useDebrief } from './useDebrief';

/** While groups still share, the next group is the one thing to do next: the plan makes way for it. */
export function TalkPanel({ desk, children }: { desk: LessonDesk; children: ReactNode }) {
  const { lesson } = desk;
  const debrief = useDebrief(lesson);
  const [isOpen, setOpen] = useState(false);
  const isSharing = debrief?.turns.some((turn) => turn.endedAt === null) ?? false;
  const tools = lesson.order.now !== null && (
    <>
      <ExitTickets lesson={lesson} />
      <CallOn lesson={lesson} />
      <QuickQuestion lesson={lesson} />
      <GalleryPanel lesson={lesson} />
    </>
  );
  if (!isSharing) {
    return (
      <>
        {children}
        {tools}
      </>
    );
  }
  return (
    <>
      {tools}
      {!isOpen && <GoOnPress desk={desk} />}
      <Button look="quiet" className="self-start text-sm" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        {isOpen ? m.debrief_hidePlan() : m.debrief_plan()}
      </Button>
      {isOpen && children}
    </>
  );
}
