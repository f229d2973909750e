// Groups go on without those who are absent and with those who came late.
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { useMessages } from '../../ui/page/messages';
import { Sheet } from '../../ui/slips/Sheet';
import * as m from '#messages';

type View = Schema['RepairView'];

export interface Repair {
  ask: () => void;
  busy: boolean;
  shown: View | null;
  close: () => void;
  take: (round: Schema['ProposedRound']) => void;
}

/** How the groups of a grouping would go on without those who are absent and with those who came late. */
export function useRepair(groupingId: string, onTake: (round: Schema['ProposedRound']) => void): Repair {
  const { fail } = useMessages();
  const [shown, setShown] = useState<View | null>(null);
  const ask = useMutation({
    mutationFn: () => take(api.POST('/api/staff/groupings/{id}/repair', { params: { path: { id: groupingId } } })),
    onSuccess: setShown,
    onError: fail,
  });
  return {
    ask: () => ask.mutate(),
    busy: ask.isPending,
    shown,
    close: () => setShown(null),
    take: (round) => {
      onTake(round);
      setShown(null);
    },
  };
}

function Moves({ repair, nameOf }: { repair: View; nameOf: (id: string) => string }) {
  return (
    <div className="space-y-3">
      {repair.conflicts.map((conflict) => (
        <p key={conflict.message} className="bg-wash px-3 py-2">
          {conflict.message}
        </p>
      ))}
      {repair.leaving.length > 0 && (
        <div>
          <h3 className="font-sans font-semibold">{m.desk_repairLeaving()}</h3>
          <p>{repair.leaving.map(nameOf).join(', ')}</p>
        </div>
      )}
      {repair.arrivals.length > 0 && (
        <div>
          <h3 className="font-sans font-semibold">{m.desk_repairArrivals()}</h3>
          <ul>
            {repair.arrivals.map((move) => (
              <li key={move.student}>{m.desk_arrivalLine({ name: nameOf(move.student), to: move.to })}</li>
            ))}
          </ul>
        </div>
      )}
      {repair.round !== null && (
        <div>
          <h3 className="font-sans font-semibold">{m.desk_repairMoves({ n: repair.moves.length })}</h3>
          <ul>
            {repair.moves.map((move) => (
              <li key={move.student}>
                {m.desk_moveLine({ name: nameOf(move.student), from: move.from ?? '', to: move.to })}{' '}
                <span className="text-soft">{move.because}</span>
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}

/** The moves are shown before they happen. */
export function RepairSheet({ repair, nameOf }: { repair: Repair; nameOf: (id: string) => string }) {
  const { shown } = repair;
  const round = shown?.round ?? null;
  return (
    <Sheet open={shown !== null} onClose={repair.close} title={m.desk_repairTitle()}>
      {shown !== null && <Moves repair={shown} nameOf={nameOf} />}
      {round !== null && (
        <Button look="main" className="mt-5" onClick={() => repair.take(round)}>
          {m.desk_repairDo()}
        </Button>
      )}
    </Sheet>
  );
}
