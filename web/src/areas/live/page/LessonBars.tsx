// The lines over a lesson's groups that say what is unusual about it.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation } from 'react-router';
import { api, take, type Schema } from '../../../api/client';
import { Bar } from '../../../ui/page/Bar';
import { Button } from '../../../ui/Button';
import { useMessages } from '../../../ui/page/messages';
import { part } from '../../../ui/later/lazily';
import * as m from '#messages';
import { nameOf } from '../../lesson/OrderStrip';
import { segmentName } from '../../lesson/segmentName';
import { titleBeside } from '../../lesson/titleBeside';
import { isOtherLessonOn, useAskToLeave } from '../LeaveOther';
import type { LessonDesk } from './useLessonDesk';

const AskDate = part(
  () => import('../../lesson/AskDate'),
  (file) => file.AskDate,
);
const NextLesson = part(
  () => import('../../lesson/NextLesson'),
  (file) => file.NextLesson,
);

function NotCurrent({ lesson }: { lesson: Schema['LessonView'] }) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const askToLeave = useAskToLeave();
  const bring = useMutation({
    mutationFn: (leaving: string | null) =>
      take(api.POST('/api/staff/lessons/{id}/current', { params: { path: { id: lesson.id } }, body: { leaving } })),
    onSuccess: (fresh) => queries.setQueryData(['lesson', lesson.id], fresh),
    onError: (error) => (isOtherLessonOn(error) ? askToLeave((leaving) => bring.mutate(leaving)) : fail(error)),
  });
  return (
    <Bar>
      {lesson.other === null
        ? m.lesson_notCurrent({ name: lesson.className })
        : m.round_other_bar({ className: lesson.className, lesson: titleBeside(lesson.other, [lesson]) })}
      <Button onClick={() => bring.mutate(null)} busy={bring.isPending}>
        {m.lesson_makeCurrent()}
      </Button>
    </Bar>
  );
}

/** What did not come along when the lesson was given to this class. */
function NotCarried() {
  const { state } = useLocation() as { state: { notCarried?: string[] } | null };
  const [said, setSaid] = useState(state?.notCarried ?? []);
  if (said.length === 0) return null;
  return (
    <Bar>
      <ul className="min-w-0 flex-1">
        {said.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
      <Button onClick={() => setSaid([])}>{m.give_gotIt()}</Button>
    </Bar>
  );
}

/** Another round is on the floor than the one the lesson is in. */
function Elsewhere({ lesson, onBack }: { lesson: Schema['LessonView']; onBack: () => void }) {
  const { order } = lesson;
  const now = order.segments.find((segment) => segment.id === (order.now ?? lesson.roundNow.segmentId));
  if (now === undefined) return null;
  return (
    <Bar>
      {m.order_planning({ name: segmentName('round', lesson.round.number), now: nameOf(now) })}
      <Button onClick={onBack}>{m.order_backTo({ name: segmentName('round', lesson.roundNow.number) })}</Button>
    </Bar>
  );
}

/** All of them that there is a reason for. */
export function LessonBars({ desk, connected }: { desk: LessonDesk; connected: boolean }) {
  const { lesson, soon, over, isNow } = desk;
  return (
    <>
      {!connected && <Bar>{m.lesson_noStream()}</Bar>}
      <AskDate key={`when ${lesson.id}`} lesson={lesson} />
      <NotCarried key={lesson.id} />
      {!lesson.current && !lesson.template && !over && soon && <NotCurrent lesson={lesson} />}
      {lesson.template && (
        <Bar>
          {m.order_templateBar()}
          <NextLesson lesson={lesson} />
        </Bar>
      )}
      {!isNow && <Elsewhere lesson={lesson} onBack={desk.showRoundNow} />}
    </>
  );
}
