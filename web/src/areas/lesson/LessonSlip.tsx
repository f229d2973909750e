// When a lesson is and how long, and the slip that changes it.
import { part } from '../../ui/later/lazily';
import { Popover } from '../../ui/slips/Popover';
import * as m from '#messages';
import { whenText } from '../../words/when';
import type { LessonForm as Form } from './LessonForm';

const LessonForm = part(
  () => import('./LessonForm'),
  (file) => file.LessonForm,
);

/** When the lesson is; pressed, its title, its date and how long it is in all. */
export function LessonSlip({ lesson }: Parameters<typeof Form>[0]) {
  return (
    <Popover
      button={{
        'aria-label': m.order_begins(),
        className:
          'min-h-6 text-sm whitespace-nowrap underline decoration-line underline-offset-4 hover:decoration-ink sm:px-2',
      }}
      label={lesson.startsAt === null ? m.order_isTemplate() : whenText(lesson.startsAt)}
      panel="space-y-3"
    >
      {() => <LessonForm lesson={lesson} />}
    </Popover>
  );
}
