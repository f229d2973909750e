// The panel while everybody is together: what is done with the class, and under it what comes next.
import { useState, type ReactNode } from 'react';
import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import * as m from '#messages';
import { CallOn } from './CallOn';
import { GalleryPanel } from './gallery/GalleryPanel';
import { QuickQuestion } from './question/QuickQuestion';
import { useDebrief } from './useDebrief';

/** While groups still share, the next group is the one thing to do next: the plan makes way for it. */
export function TalkPanel({ lesson, children }: { lesson: Schema['LessonView']; children: ReactNode }) {
  const debrief = useDebrief(lesson);
  const [isOpen, setOpen] = useState(false);
  const isSharing = debrief?.turns.some((turn) => turn.endedAt === null) ?? false;
  const tools = lesson.order.now !== null && (
    <>
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
      <Button look="quiet" className="self-start text-sm" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        {isOpen ? m.debrief_hidePlan() : m.debrief_plan()}
      </Button>
      {isOpen && children}
    </>
  );
}
