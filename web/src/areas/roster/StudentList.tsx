import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { useMessages } from '../../ui/messages';
import { words } from '../../words';
import { EditText } from './EditText';

type Student = Schema['StudentView'];

/** What can be done with one student of a class list. */
function useStudentActions(classId: string) {
  const queries = useQueryClient();
  const { say, fail } = useMessages();
  const done = () => queries.invalidateQueries({ queryKey: ['class', classId] });
  const path = (id: string) => ({ params: { path: { id } } });
  const edit = useMutation({
    mutationFn: ({ id, ...body }: { id: string; name?: string; absent?: boolean }) =>
      take(api.PATCH('/api/staff/students/{id}', { ...path(id), body })),
    // Seen at once; the server's answer follows.
    onMutate: async ({ id, ...change }) => {
      await queries.cancelQueries({ queryKey: ['class', classId] });
      queries.setQueryData<Schema['ClassView']>(['class', classId], (old) =>
        old === undefined
          ? old
          : { ...old, students: old.students.map((one) => (one.id === id ? { ...one, ...change } : one)) },
      );
    },
    onSettled: done,
    onError: fail,
  });
  const restore = useMutation({
    mutationFn: (id: string) => take(api.POST('/api/staff/students/{id}/restore', path(id))),
    onSettled: done,
    onError: fail,
  });
  const remove = useMutation({
    mutationFn: (student: Student) => take(api.DELETE('/api/staff/students/{id}', path(student.id))),
    onSuccess: (_, student) => say(words.roster.removed(student.name), () => restore.mutate(student.id)),
    onSettled: done,
    onError: fail,
  });
  const free = useMutation({
    mutationFn: (student: Student) => take(api.POST('/api/staff/students/{id}/free', path(student.id))),
    onSuccess: (_, student) => say(words.roster.freed(student.name)),
    onSettled: done,
    onError: fail,
  });
  return { edit, remove, free };
}

export function StudentList({ classId, students }: { classId: string; students: Student[] }) {
  const { edit, remove, free } = useStudentActions(classId);
  // A box shows what was pressed until the server has answered.
  const [pressed, setPressed] = useState<Record<string, boolean | undefined>>({});
  const markAbsent = (id: string, absent: boolean) => {
    setPressed((all) => ({ ...all, [id]: absent }));
    edit.mutate({ id, absent }, { onSettled: () => setPressed((all) => ({ ...all, [id]: undefined })) });
  };
  if (students.length === 0) return <p className="border-y border-line py-8 text-soft">{words.roster.empty}</p>;
  return (
    <table className="w-full border-collapse border-y-2 border-ink">
      <caption className="sr-only">{words.roster.heading}</caption>
      <thead>
        <tr className="border-b border-ink text-left text-sm">
          <th scope="col" className="w-10 py-1.5 font-semibold">
            {words.roster.number}
          </th>
          <th scope="col" className="py-1.5 font-semibold">
            {words.roster.name}
          </th>
          <th scope="col" className="py-1.5 font-semibold">
            {words.roster.absentColumn}
          </th>
          <th scope="col" className="py-1.5">
            <span className="sr-only">{words.roster.actions}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {students.map((student, i) => (
          <tr key={student.id} className="border-b border-line last:border-0">
            <td className="py-1 text-sm text-soft tabular-nums">{i + 1}</td>
            <th
              scope="row"
              className={`py-1 pr-4 text-left font-normal ${student.absent ? 'text-soft line-through' : ''}`}
            >
              <EditText
                inline
                label={words.roster.editOf(student.name)}
                value={student.name}
                maxLength={120}
                onSave={(name) => edit.mutate({ id: student.id, name })}
              />
            </th>
            <td className="py-1 whitespace-nowrap">
              <input
                type="checkbox"
                className="size-5 accent-ink"
                checked={pressed[student.id] ?? student.absent}
                aria-label={words.roster.absentOf(student.name)}
                onChange={(event) => markAbsent(student.id, event.target.checked)}
              />
            </td>
            <td className="py-1 text-right text-sm whitespace-nowrap">
              {student.claimed && (
                <Button
                  look="quiet"
                  aria-label={words.roster.freeOf(student.name)}
                  onClick={() => free.mutate(student)}
                >
                  {words.roster.free}
                </Button>
              )}
              <Button
                look="quiet"
                className="text-soft"
                aria-label={words.roster.removeOf(student.name)}
                onClick={() => remove.mutate(student)}
              >
                {words.roster.remove}
              </Button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
