import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { api, take, type Schema } from '../../api/client';
import { useMessages } from '../../ui/messages';
import { foresee, type Edit, type FloorView } from './floorMoves';

type Lesson = Schema['LessonView'];
type Deal = Omit<Schema['DealRequest'], 'basedOn'>;

export interface FloorControl {
  edit: (edit: Edit) => void;
  deal: (deal: Deal) => void;
  undo: () => void;
  redo: () => void;
  busy: boolean;
}

/**
 * Changes the floor of a lesson. Changes go out one after the other, each based on the answer to the one before; what the
 * person did is seen at once.
 */
export function useFloor(lesson: Lesson): FloorControl {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const [waiting, setWaiting] = useState(0);
  const step = useRef(lesson.floor.step);
  const line = useRef(Promise.resolve());
  const lessonId = lesson.id;
  const groupingId = lesson.floor.id;

  useEffect(() => {
    if (waiting === 0) step.current = lesson.floor.step;
  }, [lesson.floor.step, waiting]);

  const show = useCallback(
    (change: (floor: FloorView) => FloorView) =>
      queries.setQueryData<Lesson>(['lesson', lessonId], (old) =>
        old === undefined ? old : { ...old, floor: change(old.floor) },
      ),
    [queries, lessonId],
  );

  const send = useCallback(
    (ask: (path: { id: string }, basedOn: number) => Promise<FloorView>) => {
      setWaiting((n) => n + 1);
      line.current = line.current
        .then(() => queries.cancelQueries({ queryKey: ['lesson', lessonId] }))
        .then(() => ask({ id: groupingId }, step.current))
        .then((floor) => {
          step.current = floor.step;
          show(() => floor);
        })
        .catch(async (error: unknown) => {
          fail(error);
          await queries.refetchQueries({ queryKey: ['lesson', lessonId] });
          step.current = queries.getQueryData<Lesson>(['lesson', lessonId])?.floor.step ?? step.current;
        })
        .finally(() => setWaiting((n) => n - 1));
    },
    [queries, lessonId, groupingId, show, fail],
  );

  return useMemo(
    () => ({
      edit: (edit) => {
        show((floor) => foresee(floor, edit));
        send((path, basedOn) =>
          take(api.POST('/api/staff/groupings/{id}/edits', { params: { path }, body: { ...edit, basedOn } })),
        );
      },
      deal: (deal) =>
        send((path, basedOn) =>
          take(api.POST('/api/staff/groupings/{id}/deal', { params: { path }, body: { ...deal, basedOn } })),
        ),
      undo: () =>
        send((path, basedOn) =>
          take(api.POST('/api/staff/groupings/{id}/undo', { params: { path }, body: { basedOn } })),
        ),
      redo: () =>
        send((path, basedOn) =>
          take(api.POST('/api/staff/groupings/{id}/redo', { params: { path }, body: { basedOn } })),
        ),
      busy: waiting > 0,
    }),
    [send, show, waiting],
  );
}
