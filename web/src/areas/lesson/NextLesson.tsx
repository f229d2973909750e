// The lesson after this one.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, take, type Schema } from '../../api/client';
import { classesQuery } from '../../api/lists';
import { useOnce } from '../../api/once';
import { Choices, Do } from '../../ui/fields/Choices';
import { useMessages } from '../../ui/page/messages';
import * as m from '#messages';
import { notCarried } from './notCarried';

interface From {
  classId: string;
  groups: Schema['FromGroups'];
}

const day = 24 * 3_600_000;
const week = 7 * day;

type Lesson = Pick<Schema['LessonView'], 'id' | 'classId' | 'title' | 'minutes' | 'startsAt' | 'template'> &
  Partial<Pick<Schema['LessonView'], 'className' | 'floor' | 'handOut' | 'students'>>;

/** What its page says first: to another class not everything comes along, and it has its lessons at other times. */
function arrival(lesson: Lesson, made: Schema['LessonView']) {
  const { className, floor, handOut, students } = lesson;
  const known = className !== undefined && floor !== undefined && handOut !== undefined && students !== undefined;
  return made.classId !== lesson.classId && known
    ? { notCarried: notCarried({ className, floor, handOut, students }, made), askDate: true }
    : null;
}

/** Creates the next lesson and goes to it. */
function useNext(lesson: Lesson) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { fail } = useMessages();
  const once = useOnce();
  return useMutation({
    mutationFn: ({ classId, groups }: From) => {
      const body = {
        title: lesson.title,
        minutes: lesson.minutes,
        from: lesson.id,
        groups,
        startsAt: lesson.startsAt === null ? null : lesson.startsAt + (classId === lesson.classId ? week : day),
      };
      return take(
        api.POST('/api/staff/classes/{id}/lessons', {
          params: { path: { id: classId } },
          body,
          headers: once.headers([classId, body]),
        }),
      );
    },
    onSuccess: async (made) => {
      once.done();
      await queries.invalidateQueries({ queryKey: ['lessons'] });
      await navigate(`/lessons/${made.id}`, { state: arrival(lesson, made) });
    },
    onError: fail,
  });
}

/** The next lesson, begun from one that is there: the same groups, new partners, or for another class. */
export function NextLesson({
  lesson,
  others = false,
}: {
  lesson: Lesson;
  /** Only for other classes: this one has it before it. */
  others?: boolean;
}) {
  const classes = useQuery(classesQuery).data ?? [];
  const { mutate: make } = useNext(lesson);
  const elsewhere = classes.filter((one) => one.id !== lesson.classId && !one.archived);
  if (others && elsewhere.length === 0) return null;
  return (
    <Choices
      label={others ? m.give_toClass() : lesson.template ? m.order_begin() : m.order_again()}
      className="self-start"
    >
      {!others && (
        <>
          <Do onPress={() => make({ classId: lesson.classId, groups: 'same' })}>{m.order_same()}</Do>
          <Do onPress={() => make({ classId: lesson.classId, groups: 'newPartners' })}>{m.order_newPartners()}</Do>
        </>
      )}
      {elsewhere.map((one) => (
        <Do key={one.id} onPress={() => make({ classId: one.id, groups: 'newPartners' })}>
          {m.order_otherClass({ name: one.name })}
        </Do>
      ))}
    </Choices>
  );
}
