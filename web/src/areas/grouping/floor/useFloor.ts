// Changes a floor, one step after the other.
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { useMessages } from '../../../ui/page/messages';
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

type Change = (path: { id: string }, basedOn: number) => Promise<FloorView>;

/** Shows another floor at once in what is kept of the page. */
function useShow([what, whose]: readonly [string, string]) {
  const queries = useQueryClient();
  return useCallback(
    (change: (floor: FloorView) => FloorView) =>
      queries.setQueryData<HasFloor>([what, whose], (old) =>
        old === undefined ? old : { ...old, floor: change(old.floor) },
      ),
    [queries, what, whose],
  );
}

/** Changes go out one after the other, each based on the answer to the one before. */
function useLine([what, whose]: readonly [string, string], floor: FloorView, show: ReturnType<typeof useShow>) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const [waiting, setWaiting] = useState(0);
  const step = useRef(floor.step);
  const line = useRef(Promise.resolve());
  const groupingId = floor.id;
  useEffect(() => {
    if (waiting === 0) step.current = floor.step;
  }, [floor.id, floor.step, waiting]);
  const send = useCallback(
    (ask: Change) => {
      setWaiting((n) => n + 1);
      line.current = line.current
        .then(() => queries.cancelQueries({ queryKey: [what, whose] }))
        .then(() => ask({ id: groupingId }, step.current))
        .then((fresh) => {
          step.current = fresh.step;
          show(() => fresh);
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
  return { send, busy: waiting > 0 };
}

const asked = {
  edit:
    (edit: Edit): Change =>
    (path, basedOn) =>
      take(api.POST('/api/staff/groupings/{id}/edits', { params: { path }, body: { ...edit, basedOn } })),
  deal:
    (deal: Deal): Change =>
    (path, basedOn) =>
      take(api.POST('/api/staff/groupings/{id}/deal', { params: { path }, body: { ...deal, basedOn } })),
  take:
    (what: string, rounds: Schema['ProposedRound'][]): Change =>
    (path, basedOn) =>
      take(api.POST('/api/staff/groupings/{id}/take', { params: { path }, body: { what, rounds, basedOn } })),
  step:
    (which: 'roles' | 'undo' | 'redo'): Change =>
    (path, basedOn) =>
      take(api.POST(`/api/staff/groupings/{id}/${which}`, { params: { path }, body: { basedOn } })),
};

/** Changes a floor; what the person did is seen at once. */
export function useFloor(queryKey: readonly [string, string], floor: FloorView): FloorControl {
  const show = useShow(queryKey);
  const { send, busy } = useLine(queryKey, floor, show);
  return useMemo(
    () => ({
      edit: (edit) => {
        show((before) => foresee(before, edit));
        send(asked.edit(edit));
      },
      deal: (deal) => send(asked.deal(deal)),
      take: (what, rounds) => send(asked.take(what, rounds)),
      handOutRoles: () => send(asked.step('roles')),
      undo: () => send(asked.step('undo')),
      redo: () => send(asked.step('redo')),
      busy,
    }),
    [send, show, busy],
  );
}
