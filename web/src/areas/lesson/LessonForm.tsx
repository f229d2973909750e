// What a lesson is called, when it is, and how long.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, take, type Schema } from '../../api/client';
import { isProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/fields/Field';
import { useMessages } from '../../ui/page/messages';
import { NumberField } from '../../ui/fields/NumberField';
import * as m from '#messages';
import { forInput, fromInput } from '../../words/when';

type Edit = Schema['EditLesson'];

type Lesson = Pick<
  Schema['LessonView'],
  'id' | 'classId' | 'title' | 'minutes' | 'startsAt' | 'template' | 'locksAtEnd'
>;

/** Keeps a lesson as a template. */
function useKeep(lesson: Lesson) {
  const queries = useQueryClient();
  const { fail, say } = useMessages();
  return useMutation({
    mutationFn: () =>
      take(
        api.POST('/api/staff/classes/{id}/lessons', {
          params: { path: { id: lesson.classId } },
          body: {
            title: m.order_templateName({ title: lesson.title }).slice(0, 120),
            minutes: lesson.minutes,
            from: lesson.id,
            template: true,
          },
        }),
      ),
    onSuccess: async () => {
      say(m.order_templateKept());
      await queries.invalidateQueries({ queryKey: ['lessons'] });
    },
    onError: fail,
  });
}

/** Deletes a lesson; said where it leads to, and to be undone there. */
function useDelete(lesson: Lesson) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { fail, sayHere } = useMessages();
  const path = { params: { path: { id: lesson.id } } };
  return useMutation({
    mutationFn: () => take(api.DELETE('/api/staff/lessons/{id}', path)),
    onSuccess: async () => {
      await navigate(`/classes/${lesson.classId}`);
      const lists = () => queries.invalidateQueries({ queryKey: ['lessons'] });
      sayHere(m.order_lessonDeleted({ title: lesson.title }), () => {
        take(api.POST('/api/staff/lessons/{id}/restore', path)).then(lists, fail);
      });
      await lists();
    },
    onError: fail,
  });
}

function useEdit(lesson: Lesson) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Edit) =>
      take(api.PATCH('/api/staff/lessons/{id}', { params: { path: { id: lesson.id } }, body })),
    onSuccess: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: ['lesson', lesson.id] }),
        queries.invalidateQueries({ queryKey: ['lessons'] }),
      ]),
  });
}

/** Its title, date and length, and whether work can be changed afterwards. */
function Fields({ lesson }: { lesson: Lesson }) {
  const edit = useEdit(lesson);
  const [title, setTitle] = useState(lesson.title);
  const problem = isProblem(edit.error) ? edit.error : undefined;
  const saveTitle = () => {
    if (title.trim() !== lesson.title) edit.mutate({ title });
  };
  return (
    <>
      <Field
        label={m.next_lessonTitle()}
        value={title}
        maxLength={120}
        error={problem?.field('title')}
        onChange={(event) => setTitle(event.target.value)}
        onBlur={saveTitle}
        onKeyDown={(event) => event.key === 'Enter' && saveTitle()}
      />
      {lesson.startsAt !== null && (
        <Field
          key={lesson.startsAt}
          label={m.order_when()}
          type="datetime-local"
          defaultValue={forInput(lesson.startsAt)}
          error={problem?.field('startsAt')}
          onBlur={(event) => {
            const startsAt = fromInput(event.target.value);
            if (startsAt !== null && startsAt !== lesson.startsAt) edit.mutate({ startsAt });
          }}
        />
      )}
      <div className="w-32">
        <NumberField
          label={m.next_lessonMinutes()}
          value={lesson.minutes}
          min={5}
          max={600}
          onSave={(minutes) => edit.mutateAsync({ minutes })}
        />
      </div>
      <label className="flex items-start gap-2 text-sm">
        <input
          type="checkbox"
          className="mt-0.5 size-4 accent-ink"
          checked={lesson.locksAtEnd}
          onChange={(event) => edit.mutate({ locksAtEnd: event.target.checked })}
        />
        {m.order_locksAtEnd()}
      </label>
    </>
  );
}

/** Everything about a lesson that is not in its running order. */
export function LessonForm({ lesson }: { lesson: Lesson }) {
  const keep = useKeep(lesson);
  const away = useDelete(lesson);
  return (
    <>
      <Fields lesson={lesson} />
      {!lesson.template && (
        <Button look="quiet" className="-ms-2 text-sm" onClick={() => keep.mutate()} busy={keep.isPending}>
          {m.order_asTemplate()}
        </Button>
      )}
      <a
        className="block min-h-6 text-sm underline decoration-line underline-offset-4 hover:decoration-ink"
        href={`/api/staff/lessons/${lesson.id}/file`}
        download
      >
        {m.lessonFile_save()}
      </a>
      <Button look="quiet" className="-ms-2 block text-sm" onClick={() => away.mutate()} busy={away.isPending}>
        {m.order_deleteLesson()}
      </Button>
    </>
  );
}
