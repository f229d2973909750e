// Changes the class list; what was changed is seen at once, and can be undone.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, take, type Schema } from '../../../api/client';
import { useMessages } from '../../../ui/page/messages';
import * as m from '#messages';

export type Student = Schema['StudentView'];
export type Edit = { id: string } & Schema['EditStudent'];

/** What stands in a column of the list; null: the table. */
export function valueOf(student: Student, column: string | null): string {
  return (column === null ? student.table : student.attributes?.find((one) => one.name === column)?.value) ?? '';
}

/** What a change will make of a student, before the server has answered. */
function changed(student: Student, edit: Edit): Student {
  const attributes = new Map(student.attributes?.map((one) => [one.name, one.value]));
  for (const { name, value } of edit.attributes ?? []) {
    if (value.trim() === '') attributes.delete(name);
    else attributes.set(name, value.trim());
  }
  return {
    ...student,
    name: edit.name ?? student.name,
    absent: edit.absent ?? student.absent,
    seatable: edit.seatable ?? student.seatable ?? true,
    table: edit.table === undefined ? (student.table ?? null) : edit.table === '' ? null : edit.table,
    tags: edit.tags ?? student.tags ?? [],
    attributes: [...attributes].map(([name, value]) => ({ name, value })),
  };
}

/** Values of one column for many, as they were when it was asked. */
interface Filling {
  column: string | null;
  cells: { student: Student; value: string }[];
}

/** What can be done with one student of a class list. */
export function useStudentActions(classId: string) {
  const queries = useQueryClient();
  const { say, fail } = useMessages();
  const done = () => queries.invalidateQueries({ queryKey: ['class', classId] });
  const path = (id: string) => ({ params: { path: { id } } });
  const edit = useMutation({
    mutationFn: ({ id, ...body }: Edit) => take(api.PATCH('/api/staff/students/{id}', { ...path(id), body })),
    // Seen at once; the server's answer follows.
    onMutate: async (change) => {
      await queries.cancelQueries({ queryKey: ['class', classId] });
      queries.setQueryData<Schema['ClassView']>(['class', classId], (old) =>
        old === undefined
          ? old
          : { ...old, students: old.students.map((one) => (one.id === change.id ? changed(one, change) : one)) },
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
    onSuccess: (_, student) => say(m.roster_removed({ name: student.name }), () => restore.mutate(student.id)),
    onSettled: done,
    onError: fail,
  });
  const free = useMutation({
    mutationFn: (student: Student) => take(api.POST('/api/staff/students/{id}/free', path(student.id))),
    onSuccess: (_, student) => say(m.roster_freed({ name: student.name })),
    onSettled: done,
    onError: fail,
  });
  const newPass = useMutation({
    mutationFn: (student: Student) => take(api.POST('/api/staff/students/{id}/pass', path(student.id))),
    onSuccess: (_, student) => say(m.roster_newPassMade({ name: student.name })),
    onError: fail,
  });
  const fill = useMutation({
    mutationFn: ({ column, cells }: Filling) =>
      take(
        api.PUT('/api/staff/classes/{id}/column', {
          ...path(classId),
          body: { attribute: column, cells: cells.map(({ student, value }) => ({ student: student.id, value })) },
        }),
      ),
    onSuccess: (_, { column, cells }) => {
      const before = cells.map(({ student }) => ({ student, value: valueOf(student, column) }));
      say(m.roster_filled({ column: column ?? m.roster_table(), n: cells.length }), () =>
        fill.mutate({ column, cells: before }),
      );
    },
    onSettled: done,
    onError: fail,
  });
  return { edit, remove, free, newPass, fill };
}
