import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { api, take, type Schema } from '../../api/client';
import { useMessages } from '../../ui/messages';
import { foresee, type Edit, type FloorView } from './floorMoves';

type Deal = Omit<Schema['DealRequest'], 'basedOn'>;

export interface FloorControl {
  edit: (edit: Edit) => void;
  deal: (deal: Deal) => void;
  /** Puts on the floor what was proposed. */
  take: (what: string, rounds: Schema['ProposedRound'][]) => void;
  handOutRoles: () => void;
  undo: () => void;
  redo: () => void;
  busy: boolean;
}

interface HasFloor {
  floor: FloorView;
}

/**
 * Changes a floor. Changes go out one after the other, each based on the answer to the one before; what the
 * person did is seen at once.
 */
export function useFloor(queryKey: readonly [string, string], floor: FloorView): FloorControl {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const [waiting, setWaiting] = useState(0);
  const step = useRef(floor.step);
  const line = useRef(Promise.resolve());
  const groupingId = floor.id;
  const [what, whose] = queryKey;

  useEffect(() => {
    if (waiting === 0) step.current = floor.step;
  }, [floor.id, floor.step, waiting]);

  const show = useCallback(
    (change: (floor: FloorView) => FloorView) =>
      queries.setQueryData<HasFloor>([what, whose], (old) =>
        old === undefined ? old : { ...old, floor: change(old.floor) },
      ),
    [queries, what, whose],
  );

  const send = useCallback(
    (ask: (path: { id: string }, basedOn: number) => Promise<FloorView>) => {
      setWaiting((n) => n + 1);
      line.current = line.current
        .then(() => queries.cancelQueries({ queryKey: [what, whose] }))
        .then(() => ask({ id: groupingId }, step.current))
        .then((floor) => {
          step.current = floor.step;
          show(() => floor);
        })
        .catch(async (error: unknown) => {
          fail(error);
          await queries.refetchQueries({ queryKey: [what, whose] });
          step.current = queries.getQueryData<HasFloor>([what, whose])?.floor.step ?? step.current;
        })
        .finally(() => setWaiting((n) => n - 1));
    },
    [queries, what, whose, groupingId, show, fail],
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
      take: (taken, rounds) =>
        send((path, basedOn) =>
          take(
            api.POST('/api/staff/groupings/{id}/take', { params: { path }, body: { what: taken, rounds, basedOn } }),
          ),
        ),
      handOutRoles: () =>
        send((path, basedOn) =>
          take(api.POST('/api/staff/groupings/{id}/roles', { params: { path }, body: { basedOn } })),
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
