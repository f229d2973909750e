// Talking about the work of a lesson: what the teacher's page knows of it, and what its presses do.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, take, type Schema } from '../../api/client';
import { isPassing } from '../../api/problem';
import { hear } from '../../api/stream/staffStream';
import { useMessages } from '../../ui/page/messages';
import type { WorkPlace } from '../live/laterParts';

export type Debrief = Schema['DebriefView'];

const keyOf = (lesson: string) => ['debrief', lesson] as const;
const pathOf = (lesson: string) => ({ params: { path: { id: lesson } } });

/** What is known of it, kept as new as it is on the server. */
export function useDebrief(lesson: Pick<Schema['LessonView'], 'id' | 'endedAt' | 'order'>): Debrief | undefined {
  const begun = lesson.order.now !== null && lesson.endedAt === null;
  return useQuery({
    queryKey: keyOf(lesson.id),
    queryFn: () => take(api.GET('/api/staff/lessons/{id}/debrief', pathOf(lesson.id))),
    enabled: begun,
  }).data;
}

/** Asks again when something has changed; once for a page. */
export function useDebriefHints(lesson: string, now: string | null) {
  const queries = useQueryClient();
  useEffect(() => {
    const again = () => void queries.invalidateQueries({ queryKey: keyOf(lesson) });
    return hear({
      onMessage: (message) => {
        if (message.kind === 'debrief' && message.lesson === lesson) again();
      },
      onLookAgain: again,
    });
  }, [lesson, queries]);
  // The running order goes on.
  useEffect(() => {
    void queries.invalidateQueries({ queryKey: keyOf(lesson) });
  }, [lesson, now, queries]);
}

/** A press that changes something, and shows what the server says to it. */
function usePress<T>(lesson: string, press: (what: T) => Promise<Debrief>) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  return useMutation({
    mutationFn: press,
    retry: (times, error) => isPassing(error) && times < 3,
    onSuccess: (fresh) => queries.setQueryData(keyOf(lesson), fresh),
    onError: fail,
  });
}

export const useShow = (lesson: string) =>
  usePress(lesson, (place: WorkPlace & { beside?: boolean }) =>
    take(api.POST('/api/staff/lessons/{id}/debrief/shown', { ...pathOf(lesson), body: place })),
  );

export const useShowSum = (lesson: string) =>
  usePress(lesson, (body: Schema['ShowSum']) =>
    take(api.POST('/api/staff/lessons/{id}/debrief/shown/sum', { ...pathOf(lesson), body })),
  );

export const useEditShown = (lesson: string) =>
  usePress(lesson, (body: Schema['EditShown']) =>
    take(api.PATCH('/api/staff/lessons/{id}/debrief/shown', { ...pathOf(lesson), body })),
  );

export const usePutDown = (lesson: string) =>
  usePress(lesson, () => take(api.DELETE('/api/staff/lessons/{id}/debrief/shown', pathOf(lesson))));

export const useBeginTurn = (lesson: string) =>
  usePress(lesson, (body: Schema['BeginTurn']) =>
    take(api.POST('/api/staff/lessons/{id}/debrief/turns', { ...pathOf(lesson), body })),
  );

export const useArrange = (lesson: string) =>
  usePress(lesson, (body: Schema['ArrangeTurns']) =>
    take(api.PUT('/api/staff/lessons/{id}/debrief/turns', { ...pathOf(lesson), body })),
  );

export const useEditTurn = (lesson: string) =>
  usePress(lesson, ({ turn, ...body }: Schema['EditTurn'] & { turn: string }) =>
    take(api.PATCH('/api/staff/lessons/{id}/debrief/turns/{turn}', { params: { path: { id: lesson, turn } }, body })),
  );

export const useAsk = (lesson: string) =>
  usePress(lesson, (body: Schema['AskQuestion']) =>
    take(api.POST('/api/staff/lessons/{id}/debrief/questions', { ...pathOf(lesson), body })),
  );

export const useEditQuestion = (lesson: string) =>
  usePress(lesson, ({ question, ...body }: Schema['EditQuestion'] & { question: string }) =>
    take(
      api.PATCH('/api/staff/lessons/{id}/debrief/questions/{question}', {
        params: { path: { id: lesson, question } },
        body,
      }),
    ),
  );

export const useMakeExit = (lesson: string) =>
  usePress(lesson, (question: string) =>
    take(
      api.POST('/api/staff/lessons/{id}/debrief/questions/{question}/exit', {
        params: { path: { id: lesson, question } },
      }),
    ),
  );

export const useGallery = (lesson: string) => ({
  open: usePress(lesson, (body: Schema['OpenGallery']) =>
    take(api.PUT('/api/staff/lessons/{id}/debrief/gallery', { ...pathOf(lesson), body })),
  ),
  close: usePress(lesson, () => take(api.DELETE('/api/staff/lessons/{id}/debrief/gallery', pathOf(lesson)))),
  removeRemark: usePress(lesson, (remark: string) =>
    take(
      api.DELETE('/api/staff/lessons/{id}/debrief/gallery/remarks/{remark}', {
        params: { path: { id: lesson, remark } },
      }),
    ),
  ),
});

export const useCallOn = (lesson: string) =>
  usePress(lesson, (body: Schema['CallOn']) =>
    take(api.POST('/api/staff/lessons/{id}/debrief/calls', { ...pathOf(lesson), body })),
  );

export const useMarkCall = (lesson: string) =>
  usePress(lesson, ({ call, state }: { call: string; state: Schema['CallState'] }) =>
    take(
      api.PATCH('/api/staff/lessons/{id}/debrief/calls/{call}', {
        params: { path: { id: lesson, call } },
        body: { state },
      }),
    ),
  );
