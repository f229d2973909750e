import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, take, type Schema } from '../../api/client';
import { classesQuery } from '../../api/lists';
import { Choices, Do } from '../../ui/Choices';
import { useMessages } from '../../ui/messages';
import { words } from '../../words';

interface From {
  classId: string;
  groups: Schema['FromGroups'];
}

const week = 7 * 24 * 3_600_000;

/** The next lesson, begun from one that is there: the same groups, new partners, or for another class. */
export function NextLesson({
  lesson,
}: {
  lesson: Pick<Schema['LessonView'], 'id' | 'classId' | 'title' | 'minutes' | 'startsAt' | 'template'>;
}) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { fail } = useMessages();
  const classes = useQuery(classesQuery).data ?? [];
  const make = useMutation({
    mutationFn: ({ classId, groups }: From) =>
      take(
        api.POST('/api/staff/classes/{id}/lessons', {
          params: { path: { id: classId } },
          body: {
            title: lesson.title,
            minutes: lesson.minutes,
            from: lesson.id,
            groups,
            startsAt: lesson.startsAt === null ? null : lesson.startsAt + week,
          },
        }),
      ),
    onSuccess: async (made) => {
      await queries.invalidateQueries({ queryKey: ['lessons'] });
      await navigate(`/lessons/${made.id}`);
    },
    onError: fail,
  });
  return (
    <Choices label={lesson.template ? words.order.begin : words.order.again} className="self-start">
      <Do onPress={() => make.mutate({ classId: lesson.classId, groups: 'same' })}>{words.order.same}</Do>
      <Do onPress={() => make.mutate({ classId: lesson.classId, groups: 'newPartners' })}>{words.order.newPartners}</Do>
      {classes
        .filter((one) => one.id !== lesson.classId && !one.archived)
        .map((one) => (
          <Do key={one.id} onPress={() => make.mutate({ classId: one.id, groups: 'newPartners' })}>
            {words.order.otherClass(one.name)}
          </Do>
        ))}
    </Choices>
  );
}
