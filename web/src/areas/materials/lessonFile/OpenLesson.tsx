// A lesson that somebody has saved as a file, opened for a class.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { useNavigate } from 'react-router';
import { api, take } from '../../../api/client';
import { isProblem, problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { base64 } from '../bytes';

export function OpenLesson({ classId }: { classId: string }) {
  const input = useRef<HTMLInputElement>(null);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const open = useMutation({
    mutationFn: async (file: File) =>
      take(
        api.POST('/api/staff/classes/{id}/lessons/file', {
          params: { path: { id: classId } },
          body: { package: await base64(file), startsAt: null },
        }),
      ),
    onSuccess: async (opened) => {
      await queries.invalidateQueries({ queryKey: ['lessons'] });
      await navigate(`/lessons/${opened.id}`, { state: { askDate: true } });
    },
  });
  const problem = isProblem(open.error) ? (open.error.field('package') ?? open.error.message) : undefined;
  return (
    <div className="mt-2">
      <input
        ref={input}
        type="file"
        accept=".zip"
        aria-label={m.lessonFile_open()}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file !== undefined) open.mutate(file);
          event.target.value = '';
        }}
      />
      <Button look="quiet" className="-ms-2 text-sm" busy={open.isPending} onClick={() => input.current?.click()}>
        {m.lessonFile_open()}
      </Button>
      {open.isPending && <span className="text-sm text-soft">{m.lessonFile_opening()}</span>}
      {open.isError && (
        <p role="alert" className="text-sm font-semibold text-lost">
          {problem ?? problemText(open.error)}
        </p>
      )}
    </div>
  );
}
