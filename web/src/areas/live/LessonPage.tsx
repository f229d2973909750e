// The teacher's page of one lesson.
import { Suspense, type ReactNode } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schema } from '../../api/client';
import { problemText } from '../../api/problem';
import { Gently } from '../../ui/page/Gently';
import { part } from '../../ui/later/lazily';
import { Page } from '../../ui/page/Page';
import * as m from '#messages';
import { LessonSlip } from '../lesson/LessonSlip';
import { DoorSign } from '../roster/door/DoorSign';
import { LeaveOther } from './LeaveOther';
import { Lesson } from './page/Lesson';
import { useLesson } from './useLesson';

// Loaded when first shown, so that the groups, the time and the next action don't wait for them.
const NewClassPage = part(
  () => import('./NewClassPage'),
  (file) => file.NewClassPage,
);
const Pasting = part(
  () => import('./Pasting'),
  (file) => file.Pasting,
);

function Trail({ lesson }: { lesson: Schema['LessonView'] }) {
  return (
    <div className="min-w-0 leading-tight">
      <div className="flex min-w-0 items-baseline gap-1">
        <Link
          to={`/classes/${lesson.classId}`}
          className="min-h-6 truncate text-sm underline max-sm:hidden decoration-line underline-offset-4 hover:decoration-ink"
        >
          {lesson.className}
        </Link>
        <LessonSlip key={lesson.id} lesson={lesson} />
      </div>
      <h1 className="line-clamp-2 font-head text-lg font-semibold" title={lesson.title}>
        {lesson.title}
      </h1>
    </div>
  );
}

/** What is for paper, and for calendars elsewhere. */
function PaperLinks({ lesson }: { lesson: Schema['LessonView'] }) {
  const look = 'font-semibold underline';
  return (
    <p className="mt-4 flex flex-wrap gap-x-6 gap-y-1 print:hidden">
      <Link to={`/rounds/${lesson.round.id}/slips`} className={look}>
        {m.paper_openSlips()}
      </Link>
      <Link to={`/rounds/${lesson.round.id}/plan`} className={look}>
        {m.paper_openPlan()}
      </Link>
      {!lesson.template && (
        <a href={`/api/staff/lessons/${lesson.id}/calendar.ics`} className={look}>
          {m.paper_openCalendar()}
        </a>
      )}
    </p>
  );
}

/** The word of the door, and what else lets students in. */
function Door({ lesson }: { lesson: Schema['LessonView'] }) {
  return (
    <p className="text-sm">
      {m.classes_doorWordOf()}{' '}
      <DoorSign
        doorWord={lesson.doorWord}
        className="text-lg"
        more={
          <>
            <p className="mt-6 text-lg print:hidden">
              <a href={lesson.classPage} target="_blank" rel="noopener" className="font-semibold underline">
                {m.door_classPage()} ↗
              </a>
              <NewClassPage lesson={lesson.id} />
              <span className="block text-sm text-soft">{m.door_classPageLead()}</span>
            </p>
            <PaperLinks lesson={lesson} />
            <Suspense fallback={null}>
              <Pasting lesson={lesson} />
            </Suspense>
          </>
        }
      />
    </p>
  );
}

function Frame({ lesson, children }: { lesson: Schema['LessonView'] | undefined; children: ReactNode }) {
  return (
    <div className="lg:h-[calc(100vh-var(--banner,0px))] lg:overflow-hidden [&>div]:lg:h-full [&>div]:lg:min-h-0">
      <Page
        title={lesson === undefined ? undefined : `${lesson.title} · ${lesson.className}`}
        trail={lesson !== undefined && <Trail lesson={lesson} />}
        aside={lesson !== undefined && <Door lesson={lesson} />}
      >
        {children}
      </Page>
    </div>
  );
}

export function LessonPage() {
  const { id = '' } = useParams();
  const [search] = useSearchParams();
  const { lesson, connected } = useLesson(id, search.get('segment'));
  return (
    <Frame lesson={lesson.data}>
      {lesson.isPending && <p className="p-8 text-soft">{m.common_loading()}</p>}
      {lesson.isError && lesson.data === undefined && (
        <p className="p-8 font-semibold text-lost">{problemText(lesson.error)}</p>
      )}
      {lesson.data !== undefined && (
        <LeaveOther lesson={lesson.data}>
          <Gently>
            <Lesson lesson={lesson.data} connected={connected} />
          </Gently>
        </LeaveOther>
      )}
    </Frame>
  );
}
