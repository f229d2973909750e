// What a teacher sees first: today's lessons, and those to come.
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { useServerNow } from '../../api/clock';
import { api, take, type Schema } from '../../api/client';
import { classesQuery, lessonsQuery } from '../../api/lists';
import * as m from '#messages';
import { dayOf, dayText, timeText, whenText } from '../../words/when';
import { nextStep } from './plan/nextStep';
import { phaseOf } from './phase';

// Only past lessons have it, and what it opens with is large.
const NextLesson = lazy(() => import('../lesson/NextLesson').then((file) => ({ default: file.NextLesson })));

type Lesson = Schema['LessonSummary'];

const shownAhead = 5;
const dayLong = 24 * 3_600_000;

/** Which lesson comes next today: the one that is on, or the first that is not over; none where all have been ended. */
export function nextToday(lessons: Lesson[], now: number): Lesson | undefined {
  const today = lessons
    .filter((lesson) => lesson.startsAt !== null && isForToday(lesson, now))
    .sort((a, b) => (a.startsAt ?? 0) - (b.startsAt ?? 0));
  const open = today.filter((lesson) => lesson.endedAt === null);
  return open.find((lesson) => (lesson.startsAt ?? 0) + 60_000 * lesson.minutes > now) ?? open.at(-1);
}

/** Whether a lesson is for today: by its date, or because it began before midnight and is still running. */
export function isForToday(lesson: Lesson, now: number): boolean {
  const at = lesson.startsAt ?? 0;
  const midnight = dayOf(now);
  return (
    dayOf(at) === midnight ||
    (at < midnight && at + 60_000 * lesson.minutes > midnight && lesson.endedAt === null && lesson.current)
  );
}

/**
 * The next action of a lesson, as the lesson's own page names it. Its space is reserved until it is known, and its
 * label doesn't change while the pointer or the focus is on it.
 */
function NextAction({ id }: { id: string }) {
  const now = useServerNow(5_000);
  const [held, setHeld] = useState<string | null>(null);
  const lesson = useQuery({
    queryKey: ['lesson', id],
    queryFn: () => take(api.GET('/api/staff/lessons/{id}', { params: { path: { id } } })),
  }).data;
  if (lesson === undefined) return <span className="min-h-12 w-64" aria-hidden="true" />;
  const label =
    phaseOf(lesson.roundNow.moments, now) !== 'planned' || lesson.order.now !== null
      ? m.order_open()
      : nextStep(lesson).label;
  return (
    <Link
      to={`/lessons/${id}`}
      onPointerEnter={() => setHeld(label)}
      onPointerLeave={() => setHeld(null)}
      onFocus={() => setHeld(label)}
      onBlur={() => setHeld(null)}
      className="inline-block border-2 border-ink bg-accent px-5 py-2.5 font-semibold text-on-accent shadow-[3px_3px_0_var(--ink)]"
    >
      {held ?? label}
    </Link>
  );
}

/** What can be done about a lesson of today: the next thing, or, of one that is past, what follows it. */
function LessonPress({ lesson, isNext, now }: { lesson: Lesson; isNext: boolean; now: number }) {
  if (isNext) return <NextAction id={lesson.id} />;
  if (lesson.endedAt === null && startOf(lesson) + 60_000 * lesson.minutes >= now) return null;
  return (
    <Suspense>
      <NextLesson lesson={lesson} />
    </Suspense>
  );
}

const startOf = (lesson: Lesson) => lesson.startsAt ?? 0;
type NameOf = (lesson: Lesson) => string;

function TodaysLesson({
  lesson,
  nameOf,
  isNext,
  now,
}: {
  lesson: Lesson;
  nameOf: NameOf;
  isNext: boolean;
  now: number;
}) {
  return (
    <li className="grid grid-cols-[minmax(5rem,max-content)_minmax(0,1fr)] gap-x-4 border-t-2 border-ink py-3">
      <p className="pt-0.5 text-lg font-bold whitespace-nowrap tabular-nums">{timeText(startOf(lesson))}</p>
      <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-3">
        <p className="min-w-0">
          <Link to={`/lessons/${lesson.id}`} className="text-xl font-semibold wrap-anywhere hover:bg-wash">
            {lesson.title}
          </Link>
          <span className="block wrap-anywhere text-soft">
            {nameOf(lesson)} · {m.common_minutes({ n: lesson.minutes })}
            {lesson.endedAt !== null ? <> · {m.order_isOver()}</> : lesson.current && <> · {m.classes_nowOn()}</>}
          </span>
        </p>
        <LessonPress lesson={lesson} isNext={isNext} now={now} />
      </div>
    </li>
  );
}

function Coming({ lessons, nameOf }: { lessons: Lesson[]; nameOf: NameOf }) {
  return (
    <>
      <h2 className="mt-5 font-sans text-sm font-semibold text-soft">{m.order_coming()}</h2>
      <ul className="mt-1">
        {lessons.map((lesson) => (
          <li key={lesson.id} className="flex flex-wrap gap-x-4">
            <span className="w-44 whitespace-nowrap text-soft tabular-nums">{whenText(startOf(lesson))}</span>
            <Link to={`/lessons/${lesson.id}`} className="min-w-0 font-semibold wrap-anywhere hover:bg-wash">
              {lesson.title}
            </Link>
            <span className="min-w-0 wrap-anywhere text-soft">{nameOf(lesson)}</span>
          </li>
        ))}
      </ul>
    </>
  );
}

/** Today's lessons first, with the one next action; then the coming ones. */
export function Today() {
  const now = useServerNow(30_000);
  const lessons = (useQuery(lessonsQuery).data ?? []).filter((lesson) => !lesson.template);
  const classes = useQuery(classesQuery).data ?? [];
  const nameOf: NameOf = (lesson) => classes.find((one) => one.id === lesson.classId)?.name ?? '';
  const byStart = (some: Lesson[]) => [...some].sort((a, b) => startOf(a) - startOf(b));
  const today = byStart(lessons.filter((lesson) => isForToday(lesson, now)));
  const coming = byStart(lessons.filter((lesson) => startOf(lesson) >= dayOf(now) + dayLong)).slice(0, shownAhead);
  const next = nextToday(lessons, now);
  if (lessons.length === 0) return null;
  return (
    <section aria-labelledby="today" className="mb-10">
      <h1 id="today" className="text-3xl font-semibold">
        {m.order_today()} <span className="text-lg font-normal text-soft">{dayText(now)}</span>
      </h1>
      {today.length === 0 && <p className="mt-3 text-soft">{m.order_noneToday()}</p>}
      <ul className="mt-3 border-b-2 border-ink">
        {today.map((lesson) => (
          <TodaysLesson key={lesson.id} lesson={lesson} nameOf={nameOf} isNext={lesson.id === next?.id} now={now} />
        ))}
      </ul>
      {coming.length > 0 && <Coming lessons={coming} nameOf={nameOf} />}
    </section>
  );
}
