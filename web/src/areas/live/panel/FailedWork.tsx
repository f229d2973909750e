import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { useMessages } from '../../../ui/page/messages';
import * as m from '#messages';

/** What was tried again and again, and could not be done: the teacher decides. */
export function FailedWork({ lesson }: { lesson: Schema['LessonView'] }) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const settled = {
    onSettled: () => queries.invalidateQueries({ queryKey: ['lesson', lesson.id] }),
    onError: fail,
  };
  const at = (task: string) => ({ params: { path: { id: lesson.classId, task } } });
  const again = useMutation({
    mutationFn: (task: string) => take(api.POST('/api/staff/classes/{id}/failed/{task}/again', at(task))),
    ...settled,
  });
  const letBe = useMutation({
    mutationFn: (task: string) => take(api.DELETE('/api/staff/classes/{id}/failed/{task}', at(task))),
    ...settled,
  });
  const busy = again.isPending || letBe.isPending;
  return (
    <ul className="empty:hidden">
      {lesson.failed.map((task) => (
        <li key={task.id} className="mb-4 border-2 border-ink bg-wash p-3 text-sm">
          <div role="status">
            <p className="font-semibold">{m.failed_what({ key: task.kind })}</p>
            <p className="text-soft">{task.failure}</p>
            <div className="mt-2 flex gap-2">
              <Button onClick={() => again.mutate(task.id)} busy={busy}>
                {m.failed_again()}
              </Button>
              <Button look="quiet" onClick={() => letBe.mutate(task.id)} busy={busy}>
                {m.failed_letBe()}
              </Button>
            </div>
          </div>
        </li>
      ))}
    </ul>
  );
}
