// What is sent of a round: posts and emails.
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, take, type Schema } from '../../api/client';
import { useMessages } from '../../ui/page/messages';
import * as m from '#messages';
import { list } from '../../words/list';

type Lesson = Schema['LessonView'];

/** The delivery settings of a round, and how to save them. */
export function useSending(lesson: Lesson) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const every = ['sending', lesson.round.id];
  const path = { params: { path: { id: lesson.round.id } } };
  const sending = useQuery({
    queryKey: [...every, lesson.setUpList?.digest, lesson.setUp?.running],
    placeholderData: keepPreviousData,
    queryFn: () => take(api.GET('/api/staff/rounds/{id}/sending', path)),
  });
  const save = useMutation({
    mutationFn: (body: Schema['SaveSending']) =>
      take(
        api.PUT('/api/staff/rounds/{id}/sending', {
          ...path,
          body: { ...body, zone: Intl.DateTimeFormat().resolvedOptions().timeZone },
        }),
      ),
    // The set-up list changes with it, and the key with the list: what is saved is known under every key.
    onSuccess: async (saved) => {
      await queries.cancelQueries({ queryKey: every });
      queries.setQueriesData({ queryKey: every }, saved);
    },
    onSettled: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: every }),
        queries.invalidateQueries({ queryKey: ['lesson', lesson.id] }),
      ]),
    onError: fail,
  });
  return { sending, save };
}

/** The state of posts and emails in one line, for the plan. */
export function useSendingLine(lesson: Lesson) {
  const { sending } = useSending(lesson);
  const is = sending.data;
  if (is === undefined) return { done: false, isPlanned: false, text: '' };
  const text = list([
    ...(is.posted > 0 ? [m.setUp_sending_statePosts({ n: is.posted })] : []),
    ...(is.written > 0 ? [m.setUp_sending_stateLetters({ n: is.written })] : []),
    ...(is.back.length > 0 ? [m.setUp_sending_stateBack({ n: is.back.length })] : []),
  ]);
  const isPlanned = is.posts || is.letters;
  return {
    isPlanned,
    done: isPlanned && text !== '' && !lesson.findings.some((one) => one.check === 'notSent'),
    text:
      text !== ''
        ? text
        : isPlanned
          ? m.setUp_sending_planned({ what: is.posts && is.letters ? 'both' : is.posts ? 'posts' : 'letters' })
          : m.setUp_sending_none(),
  };
}
