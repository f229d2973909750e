// The lessons of a class, and creating one.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, take, type Schema } from '../../api/client';
import { lessonsQuery } from '../../api/lists';
import { useOnce } from '../../api/once';
import { isProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/fields/Choice';
import { Field } from '../../ui/fields/Field';
import { useKept } from '../../ui/useKept';
import * as m from '#messages';
import { forInput, fromInput, soon, whenText } from '../../words/when';
import { titleBeside } from './titleBeside';

type Lesson = Schema['LessonSummary'];

interface Draft {
  title: string;
  minutes: string;
  /** As the field has it. */
  when: string;
  /** Id of the lesson or template it begins from; '' for none. */
  from: string;
  groups: Schema['FromGroups'];
}

/** Creates a lesson and goes to it. */
function useMakeLesson(classId: string, onMade: () => void) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const once = useOnce();
  return useMutation({
    mutationFn: ({ title, minutes, when, from, groups }: Draft) => {
      const body = {
        title,
        minutes: from === '' ? Number(minutes) || 0 : 50,
        startsAt: fromInput(when),
        ...(from === '' ? {} : { from, groups }),
      };
      return take(
        api.POST('/api/staff/classes/{id}/lessons', {
          params: { path: { id: classId } },
          body,
          headers: once.headers([classId, body]),
        }),
      );
    },
    onSuccess: async (lesson) => {
      once.done();
      onMade();
      await queries.invalidateQueries({ queryKey: ['lessons'] });
      await navigate(`/lessons/${lesson.id}`);
    },
  });
}

/** What it begins from: nothing, a template, or another lesson of the class. */
function From({
  classId,
  lessons,
  from,
  onFrom,
}: {
  classId: string;
  lessons: Lesson[];
  from: string;
  onFrom: (from: string) => void;
}) {
  const beginnings = [
    ...lessons.filter((one) => one.template),
    ...lessons.filter((one) => !one.template && one.classId === classId),
  ];
  if (beginnings.length === 0) return null;
  return (
    <Choice
      label={m.order_from()}
      value={from}
      options={[
        { value: '', label: m.order_fromNothing() },
        ...beginnings.map((one) => ({
          value: one.id,
          label: one.template ? m.order_fromTemplate({ title: one.title }) : titleBeside(one, beginnings),
        })),
      ]}
      onChange={onFrom}
    />
  );
}

/** A new lesson has a length; one that begins from another has that one's, and groups like it or new ones. */
function LengthOrGroups({
  draft,
  error,
  onMinutes,
  onGroups,
}: {
  draft: Draft;
  error: string | undefined;
  onMinutes: (minutes: string) => void;
  onGroups: (groups: Schema['FromGroups']) => void;
}) {
  if (draft.from === '')
    return (
      <Field
        className="max-w-40"
        label={m.roster_lessonMinutes()}
        type="number"
        min={5}
        max={600}
        value={draft.minutes}
        onChange={(e) => onMinutes(e.target.value)}
        error={error}
      />
    );
  return (
    <Choice
      label={m.order_groupsOf()}
      value={draft.groups}
      options={[
        { value: 'same', label: m.order_same() },
        { value: 'newPartners', label: m.order_newPartners() },
      ]}
      onChange={onGroups}
    />
  );
}

function NewLesson({ classId, main, lessons }: { classId: string; main: boolean; lessons: Lesson[] }) {
  const [title, setTitle, forgetTitle] = useKept(`lesson:${classId}`);
  const [minutes, setMinutes, forgetMinutes] = useKept(`minutes:${classId}`, '50');
  const [when, setWhen] = useState(() => forInput(soon(Date.now())));
  const [from, setFrom] = useState('');
  const [groups, setGroups] = useState<Schema['FromGroups']>('same');
  const draft = { title, minutes, when, from, groups };
  const make = useMakeLesson(classId, () => {
    forgetTitle();
    forgetMinutes();
  });
  const problem = isProblem(make.error) ? make.error : undefined;
  return (
    <form
      className="mt-3 space-y-3 border border-ink bg-sheet p-4"
      onSubmit={(event) => {
        event.preventDefault();
        make.mutate(draft);
      }}
    >
      <h3 className="font-semibold">{m.roster_newLesson()}</h3>
      <Field
        label={m.roster_lessonTitle()}
        value={title}
        maxLength={120}
        onChange={(e) => setTitle(e.target.value)}
        error={problem?.field('title') ?? (problem?.errors.length === 0 ? problem.message : undefined)}
      />
      <Field
        label={m.order_when()}
        type="datetime-local"
        value={when}
        onChange={(e) => setWhen(e.target.value)}
        error={problem?.field('startsAt')}
      />
      <From classId={classId} lessons={lessons} from={from} onFrom={setFrom} />
      <LengthOrGroups draft={draft} error={problem?.field('minutes')} onMinutes={setMinutes} onGroups={setGroups} />
      <Button look={main ? 'main' : 'plain'} type="submit" busy={make.isPending}>
        {m.roster_makeLesson()}
      </Button>
    </form>
  );
}

/** The lessons of a class, the latest first, and a new one. */
export function ClassLessons({ classId, hasStudents }: { classId: string; hasStudents: boolean }) {
  const query = useQuery(lessonsQuery);
  const all = query.data ?? [];
  const lessons = all.filter((lesson) => lesson.classId === classId && !lesson.template);
  return (
    <section aria-label={m.classes_lessons()}>
      <h2 className="text-lg font-semibold">{m.classes_lessons()}</h2>
      <ul className="mt-2 space-y-1">
        {lessons.map((lesson) => (
          <li key={lesson.id}>
            <Link
              to={`/lessons/${lesson.id}`}
              className="flex items-baseline gap-3 border border-ink bg-sheet px-3 py-2 hover:bg-wash"
            >
              <span className="min-w-0 flex-1">
                <span className="block font-semibold wrap-anywhere">{lesson.title}</span>
                {lesson.startsAt !== null && (
                  <span className="text-sm whitespace-nowrap text-soft">{whenText(lesson.startsAt)}</span>
                )}
              </span>
              {lesson.endedAt !== null ? (
                <span className="text-sm text-soft">{m.order_isOver()}</span>
              ) : (
                lesson.current && <span className="border border-ink px-1.5 text-sm">{m.classes_nowOn()}</span>
              )}
            </Link>
          </li>
        ))}
      </ul>
      <NewLesson classId={classId} lessons={all} main={query.isSuccess && hasStudents && lessons.length === 0} />
    </section>
  );
}
