import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api/client';
import { classesQuery, lessonsQuery } from '../../api/lists';
import { problemText } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Page } from '../../ui/page/Page';
import * as m from '#messages';
import { whenText } from '../../words/when';

// Comes when it is wanted: the first page is for those who have classes.
const MakeClass = lazy(() => import('./MakeClass').then((file) => ({ default: file.MakeClass })));

const lessonsShown = 4;

function ClassRow({ item, lessons }: { item: Schema['ClassSummary']; lessons: Schema['LessonSummary'][] }) {
  return (
    <li className="grid gap-x-8 gap-y-3 border-t-2 border-ink py-6 md:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
      <div>
        <h3 className="text-2xl font-semibold wrap-anywhere">
          <Link to={`/classes/${item.id}`} className="hover:bg-wash" aria-label={m.classes_open({ name: item.name })}>
            {item.name}
          </Link>
        </h3>
        <p className="mt-1 text-soft">
          {m.common_students({ n: item.students })} · {m.classes_doorWordOf()}{' '}
          <span className="font-semibold text-ink">{item.doorWord}</span>
        </p>
      </div>
      <ul className="space-y-1">
        {lessons.length === 0 && <li className="text-soft">{m.classes_noLesson()}</li>}
        {lessons.slice(0, lessonsShown).map((lesson) => (
          <li key={lesson.id}>
            <Link
              to={`/lessons/${lesson.id}`}
              className="group flex items-baseline gap-3 border border-ink bg-sheet px-4 py-2.5 hover:bg-wash"
            >
              <span className="min-w-0 flex-1 font-semibold wrap-anywhere">{lesson.title}</span>
              {lesson.endedAt === null && lesson.current && (
                <span className="border border-ink px-1.5 text-sm">{m.classes_nowOn()}</span>
              )}
              <span className="shrink-0 text-sm text-soft tabular-nums">
                {lesson.startsAt === null ? m.order_noDate() : whenText(lesson.startsAt)}
              </span>
            </Link>
          </li>
        ))}
        {lessons.length > lessonsShown && (
          <li>
            <Link className="text-sm underline" to={`/classes/${item.id}`}>
              {m.classes_moreLessons({ n: lessons.length - lessonsShown })}
            </Link>
          </li>
        )}
      </ul>
    </li>
  );
}

/**
 * @param props.today what is on today, from the area that knows of lessons
 * @param props.more what else can be done, from areas that come later
 */
export function ClassesPage({ today, more }: { today: ReactNode; more: ReactNode }) {
  const [making, setMaking] = useState(false);
  const [wanted, setWanted] = useState(false);
  const classes = useQuery(classesQuery);
  const lessons = (useQuery(lessonsQuery).data ?? []).filter((lesson) => !lesson.template);
  const archived = classes.data?.filter((item) => item.archived) ?? [];
  return (
    <Page title={m.classes_title()}>
      <main className="mx-auto w-full max-w-5xl flex-1 px-5 py-8">
        {today}
        <div className="mb-6 flex items-end justify-between gap-4">
          <h2 className="text-3xl font-semibold">{m.classes_title()}</h2>
          <Button
            look={classes.data?.length === 0 ? 'main' : 'plain'}
            onClick={() => {
              setWanted(true);
              setMaking(true);
            }}
          >
            {m.classes_make()}
          </Button>
        </div>
        {classes.isPending && <p className="text-soft">{m.common_loading()}</p>}
        {classes.isError && <p className="font-semibold text-lost">{problemText(classes.error)}</p>}
        {classes.data?.length === 0 && <p className="border-t-2 border-ink py-10 text-soft">{m.classes_none()}</p>}
        <ul className="border-b-2 border-ink">
          {classes.data
            ?.filter((item) => !item.archived)
            .map((item) => (
              <ClassRow key={item.id} item={item} lessons={lessons.filter((lesson) => lesson.classId === item.id)} />
            ))}
        </ul>
        {archived.length > 0 && (
          <details className="mt-4">
            <summary className="font-semibold">{m.classes_archive({ n: archived.length })}</summary>
            <ul className="mt-2">
              {archived.map((item) => (
                <li key={item.id}>
                  <Link className="underline underline-offset-4" to={`/classes/${item.id}`}>
                    {item.name}
                  </Link>
                </li>
              ))}
            </ul>
          </details>
        )}
        <p className="mt-4 text-sm">
          <Link className="underline decoration-line underline-offset-4 hover:decoration-ink" to="/deleted">
            {m.deleted_title()}
          </Link>
        </p>
        <Suspense>{more}</Suspense>
        <Suspense>{wanted && <MakeClass open={making} onClose={() => setMaking(false)} />}</Suspense>
      </main>
    </Page>
  );
}
