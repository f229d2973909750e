// Divides a class quickly, over the floor of a lesson.
import { useState } from 'react';
import type { Schema } from '../../api/client';
import { Choice } from '../../ui/fields/Choice';
import { Button } from '../../ui/Button';
import * as m from '#messages';
import type { FloorControl } from './floor/useFloor';

type Kind = 'groups' | 'size';
const usualSize = 4;
/** By what groups are mixed, as the sentence takes it. */
const by = (mixBy: string | null) => mixBy?.toLowerCase() ?? 'none';

interface DealProps {
  floor: Schema['FloorView'];
  /** How many are here. */
  students: number;
  control: FloorControl;
}

/** How the class is divided: into so many groups, or into groups of so many. */
function useDeal({ floor, students, control }: DealProps) {
  const [kind, setKind] = useState<Kind>('groups');
  const [typed, setTyped] = useState<Record<Kind, string>>({ groups: '', size: '' });
  const [remainder, setRemainder] = useState<Schema['Remainder']>('spread');
  const usual = { groups: floor.groups.length || Math.max(1, Math.round(students / usualSize)), size: usualSize };
  const number = typed[kind] === '' ? usual[kind] : Number(typed[kind]);
  return {
    kind,
    setKind,
    /** What stands in the field. */
    shown: typed[kind] === '' ? usual[kind] : typed[kind],
    setTyped: (text: string) => setTyped({ ...typed, [kind]: text }),
    remainder,
    setRemainder,
    deal: (mix: string | null) =>
      control.deal({ ...(kind === 'groups' ? { groups: number } : { size: number, remainder }), mix }),
  };
}

function Shape({
  deal: { kind, setKind, shown, setTyped, remainder, setRemainder },
}: {
  deal: ReturnType<typeof useDeal>;
}) {
  return (
    <>
      <span className="text-sm font-semibold">{m.floor_dealInto()}</span>
      <input
        type="number"
        min={1}
        max={kind === 'groups' ? 400 : 1200}
        aria-label={m.floor_howMany()}
        value={shown}
        onChange={(event) => setTyped(event.target.value)}
        className="w-16 border border-ink bg-sheet px-2 py-1.5"
      />
      <Choice
        hidden
        label={m.floor_shapeKind()}
        value={kind}
        options={[
          { value: 'groups', label: m.floor_groupsUnit() },
          { value: 'size', label: m.floor_eachUnit() },
        ]}
        onChange={(one: Kind) => setKind(one)}
      />
      {kind === 'size' && (
        <Choice
          hidden
          label={m.floor_leftOver()}
          value={remainder}
          options={(['spread', 'larger', 'smaller'] as const).map((way) => ({
            value: way,
            label: m.floor_remainder({ key: way }),
          }))}
          onChange={setRemainder}
        />
      )}
    </>
  );
}

function FloorPresses({ floor, control }: Pick<DealProps, 'floor' | 'control'>) {
  const what = (step: string | null) => (step === null ? '' : m.floor_undoWhat({ key: step }));
  return (
    <span className="ms-auto flex gap-1">
      <Button look="quiet" onClick={() => control.edit({ kind: 'addTable' })}>
        {m.floor_addTable()}
      </Button>
      <Button look="quiet" disabled={floor.undo === null} onClick={control.undo} title={what(floor.undo)}>
        {m.common_undo()}
      </Button>
      <Button look="quiet" disabled={floor.redo === null} onClick={control.redo} title={what(floor.redo)}>
        {m.common_redo()}
      </Button>
    </span>
  );
}

/** How to divide the class, in the way that is said, with the other one beside it; undo and redo. */
export function DealBar({
  live,
  mixBy = null,
  ...props
}: DealProps & {
  live: boolean;
  /** What the quick way mixes by; null: it groups at random. */
  mixBy?: string | null;
}) {
  const { floor, students, control } = props;
  const deal = useDeal(props);
  return (
    <form
      className="flex flex-wrap items-center gap-x-3 gap-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        deal.deal(mixBy);
      }}
    >
      {!live && (
        <>
          <Shape deal={deal} />
          <Button type="submit" disabled={students === 0}>
            {floor.groups.length === 0 ? m.floor_deal({ by: by(mixBy) }) : m.floor_dealAgain({ by: by(mixBy) })}
          </Button>
          {mixBy !== null && (
            <Button look="quiet" className="text-sm" disabled={students === 0} onClick={() => deal.deal(null)}>
              {m.floor_atRandom()}
            </Button>
          )}
        </>
      )}
      <FloorPresses floor={floor} control={control} />
    </form>
  );
}
