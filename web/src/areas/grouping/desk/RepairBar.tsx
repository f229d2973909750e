import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { RepairSheet, useRepair } from '../Repair';

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
  const repair = useRepair(groupingId, onTake);
  return (
    <>
      <div className="flex flex-wrap items-center gap-3 border-t-2 border-ink bg-wash px-5 py-1.5 text-sm">
        {[
          ...(away > 0 ? [m.desk_repairAway({ n: away })] : []),
          ...(late > 0 ? [m.desk_repairLate({ n: late })] : []),
        ].join(', ')}
        <Button onClick={repair.ask} busy={repair.busy}>
          {m.desk_repair()}
        </Button>
      </div>
      <RepairSheet repair={repair} nameOf={nameOf} />
    </>
  );
}
