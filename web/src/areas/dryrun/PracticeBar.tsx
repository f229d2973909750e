// Says that a lesson is practice, what to try next in it, and the way out.
import { useState } from 'react';
import { useByTime } from '../../api/clock';
import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import * as m from '#messages';
import { phaseOf } from '../live/phase';
import { doneAfter, nothingDone, stepOf } from './guide';
import { usePractice } from './usePractice';

export function PracticeBar({ lesson }: { lesson: Schema['LessonView'] }) {
  const { leave } = usePractice(lesson.id);
  const phase = useByTime((at) => phaseOf(lesson.roundNow.moments, at));
  const [done, setDone] = useState(nothingDone);
  const now = doneAfter(done, lesson);
  if (now !== done) setDone(now);
  const asking = lesson.signals.find((group) => group.call !== null)?.groupId;
  const name = lesson.floor.groups.find((group) => group.id === asking)?.name ?? '';
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b-2 border-ink bg-wash px-5 py-2">
      <p className="font-head text-lg font-semibold">{m.dryrun_practice()}</p>
      <p role="status" className="min-w-0 flex-1 basis-80 wrap-anywhere">
        {lesson.endedAt === null ? m.dryrun_step({ key: stepOf(lesson, phase, now), group: name }) : m.dryrun_over()}
      </p>
      <Button busy={leave.isPending} onClick={() => leave.mutate()}>
        {m.dryrun_leave()}
      </Button>
    </div>
  );
}
