import { useState } from 'react';
import type { Schema } from '../../api/client';
import { Choice } from '../../ui/Choice';
import { Button } from '../../ui/Button';
import * as m from '#messages';
import type { FloorControl } from './useFloor';

type Kind = 'groups' | 'size';
const usualSize = 4;
/** By what groups are mixed, as the sentence takes it. */
const by = (mixBy: string | null) => mixBy?.toLowerCase() ?? 'none';

/** How to divide the class, in the way that is said, with the other one beside it; undo and redo. */
export function DealBar({
  floor,
  students,
  control,
  live,
  mixBy = null,
}: {
  floor: Schema['FloorView'];
  students: number;
  control: FloorControl;
  live: boolean;
  /** What the quick way mixes by; null: it groups at random. */
  mixBy?: string | null;
}) {
  const [kind, setKind] = useState<Kind>('groups');
  const [typed, setTyped] = useState<Record<Kind, string>>({ groups: '', size: '' });
  const [remainder, setRemainder] = useState<Schema['Remainder']>('spread');
  const usual = { groups: floor.groups.length || Math.max(1, Math.round(students / usualSize)), size: usualSize };
  const number = typed[kind] === '' ? usual[kind] : Number(typed[kind]);
  const deal = (mix: string | null) =>
    control.deal({ ...(kind === 'groups' ? { groups: number } : { size: number, remainder }), mix });
  const what = (step: string | null) => (step === null ? '' : m.floor_undoWhat({ key: step }));
  return (
    <form
      className="flex flex-wrap items-center gap-x-3 gap-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        deal(mixBy);
      }}
    >
      {!live && (
        <>
          <span className="text-sm font-semibold">{m.floor_dealInto()}</span>
          <input
            type="number"
            min={1}
            max={kind === 'groups' ? 400 : 1200}
            aria-label={m.floor_howMany()}
            value={typed[kind] === '' ? usual[kind] : typed[kind]}
            onChange={(event) => setTyped({ ...typed, [kind]: event.target.value })}
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
          <Button type="submit" disabled={students === 0}>
            {floor.groups.length === 0 ? m.floor_deal({ by: by(mixBy) }) : m.floor_dealAgain({ by: by(mixBy) })}
          </Button>
          {mixBy !== null && (
            <Button look="quiet" className="text-sm" disabled={students === 0} onClick={() => deal(null)}>
              {m.floor_atRandom()}
            </Button>
          )}
        </>
      )}
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
    </form>
  );
}
