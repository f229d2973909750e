import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation } from 'react-router';
import { api, take, type Schema } from '../../api/client';
import { isProblem } from '../../api/problem';
import { Bar } from '../../ui/page/Bar';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/fields/Field';
import * as m from '#messages';
import { forInput, fromInput } from '../../words/when';

/** Asks when this class has a lesson that was copied from another class. */
export function AskDate({ lesson }: { lesson: Schema['LessonView'] }) {
  const { state } = useLocation() as { state: { askDate?: boolean } | null };
  const [asked, setAsked] = useState(state?.askDate === true && lesson.startsAt !== null);
  const [when, setWhen] = useState(forInput(lesson.startsAt ?? 0));
  const queries = useQueryClient();
  const edit = useMutation({
    mutationFn: (startsAt: number) =>
      take(api.PATCH('/api/staff/lessons/{id}', { params: { path: { id: lesson.id } }, body: { startsAt } })),
    onSuccess: () => {
      setAsked(false);
      return queries.invalidateQueries({ queryKey: ['lesson', lesson.id] });
    },
  });
  if (!asked) return null;
  const startsAt = fromInput(when);
  return (
    <Bar>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (startsAt !== null) edit.mutate(startsAt);
        }}
      >
        <Field
          label={m.give_when({ className: lesson.className })}
          type="datetime-local"
          value={when}
          error={isProblem(edit.error) ? edit.error.field('startsAt') : undefined}
          onChange={(event) => setWhen(event.target.value)}
        />
        <Button type="submit" disabled={startsAt === null} busy={edit.isPending}>
          {m.give_saveDate()}
        </Button>
      </form>
    </Bar>
  );
}
