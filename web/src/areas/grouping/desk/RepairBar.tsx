import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { useMessages } from '../../../ui/messages';
import { Sheet } from '../../../ui/Sheet';
import { words } from '../../../words';

type Repair = Schema['RepairView'];

function Moves({ repair, nameOf }: { repair: Repair; nameOf: (id: string) => string }) {
  return (
    <div className="space-y-3">
      {repair.conflicts.map((conflict) => (
        <p key={conflict.message} className="bg-wash px-3 py-2">
          {conflict.message}
        </p>
      ))}
      {repair.leaving.length > 0 && (
        <div>
          <h3 className="font-sans font-semibold">{words.desk.repairLeaving}</h3>
          <p>{repair.leaving.map(nameOf).join(', ')}</p>
        </div>
      )}
      {repair.arrivals.length > 0 && (
        <div>
          <h3 className="font-sans font-semibold">{words.desk.repairArrivals}</h3>
          <ul>
            {repair.arrivals.map((move) => (
              <li key={move.student}>{words.desk.arrivalLine(nameOf(move.student), move.to)}</li>
            ))}
          </ul>
        </div>
      )}
      {repair.round !== null && (
        <div>
          <h3 className="font-sans font-semibold">{words.desk.repairMoves(repair.moves.length)}</h3>
          <ul>
            {repair.moves.map((move) => (
              <li key={move.student}>
                {words.desk.moveLine(nameOf(move.student), move.from ?? '', move.to)}{' '}
                <span className="text-soft">{move.because}</span>
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}

/** Somebody in a seat is absent, or somebody has no seat: one press shows how the groups would go on. */
export function RepairBar({
  groupingId,
  away,
  late,
  nameOf,
  onTake,
}: {
  groupingId: string;
  away: number;
  late: number;
  nameOf: (id: string) => string;
  onTake: (round: Schema['ProposedRound']) => void;
}) {
  const { fail } = useMessages();
  const [shown, setShown] = useState<Repair | null>(null);
  const ask = useMutation({
    mutationFn: () => take(api.POST('/api/staff/groupings/{id}/repair', { params: { path: { id: groupingId } } })),
    onSuccess: setShown,
    onError: fail,
  });
  const round = shown?.round ?? null;
  return (
    <>
      <div className="flex flex-wrap items-center gap-3 border-t-2 border-ink bg-wash px-5 py-1.5 text-sm">
        {words.desk.repairNeeded(away, late)}
        <Button onClick={() => ask.mutate()} busy={ask.isPending}>
          {words.desk.repair}
        </Button>
      </div>
      <Sheet open={shown !== null} onClose={() => setShown(null)} title={words.desk.repairTitle}>
        {shown !== null && <Moves repair={shown} nameOf={nameOf} />}
        {round !== null && (
          <Button
            look="main"
            className="mt-5"
            onClick={() => {
              onTake(round);
              setShown(null);
            }}
          >
            {words.desk.repairDo}
          </Button>
        )}
      </Sheet>
    </>
  );
}
