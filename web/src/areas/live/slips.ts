import type { Schema } from '../../api/client';

export interface Slip {
  id: string;
  name: string;
  group: { name: string; mark: number } | null;
  seat: number | null;
  role: string;
  task: string;
}

type Lesson = Pick<Schema['LessonView'], 'students' | 'floor'>;

/** One slip for everybody who is here: by group and seat, so that a group's lie together; who has no seat comes last. */
export function slipsOf(lesson: Lesson, numbers: Schema['NumberPlan']): Slip[] {
  const here = new Map(
    lesson.students.filter((student) => !student.absent).map((student) => [student.id, student.name]),
  );
  const seated = lesson.floor.groups.flatMap((group) =>
    group.students.flatMap((id, i): Slip[] => {
      const name = here.get(id);
      if (name === undefined) return [];
      const seat = i + 1;
      return [
        {
          id,
          name,
          group: { name: group.name, mark: group.mark },
          seat,
          role: numbers.roles?.find((role) => role.number === seat)?.role ?? '',
          task: (numbers.tasks ?? [])
            .filter((task) => task.numbers.includes(seat))
            .map((task) => task.task)
            .join('; '),
        },
      ];
    }),
  );
  const done = new Set(seated.map((slip) => slip.id));
  const rest = [...here]
    .filter(([id]) => !done.has(id))
    .map(([id, name]): Slip => ({ id, name, group: null, seat: null, role: '', task: '' }));
  return [...seated, ...rest];
}
