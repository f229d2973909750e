import type { ReactNode } from 'react';
import { useQuery } from '@tanstack/react-query';
import { groupingsQuery } from '../../api/lists';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { useMessages } from '../../ui/messages';
import { NumberField } from '../../ui/NumberField';
import { SavedText } from '../../ui/SavedText';
import * as m from '#messages';
import type { Segment } from './orderMoves';
import type { useOrder } from './useOrder';

/** Which groups a round is done in. */
function RoundGroups({ segment, classId, control }: SlipProps) {
  const groupings = useQuery(groupingsQuery(classId)).data ?? [];
  const { fail } = useMessages();
  if (segment.round === null || groupings.length < 2) return null;
  return (
    <Choice
      label={m.order_groupsOf()}
      value={segment.round.groupingId}
      options={groupings.map((one) => ({ value: one.id, label: one.name }))}
      onChange={(groupingId) => void control.edit(segment.id, { groupingId }).catch(fail)}
    />
  );
}

interface SlipProps {
  segment: Segment;
  classId: string;
  control: ReturnType<typeof useOrder>;
}

/** Everything about one segment: how long, what to do, where it stands. */
export function SegmentSlip({
  segment,
  classId,
  control,
  earlier,
  later,
  takeOut,
  goTo,
  show,
  children,
}: SlipProps & {
  children?: ReactNode;
  earlier: (() => void) | null;
  later: (() => void) | null;
  takeOut: (() => void) | null;
  goTo: (() => void) | null;
  show: (() => void) | null;
}) {
  const { fail } = useMessages();
  return (
    <div className="flex flex-col gap-3">
      {show !== null && (
        <Button className="self-start" onClick={show}>
          {m.order_show()}
        </Button>
      )}
      {goTo !== null && (
        <Button className="self-start" onClick={goTo}>
          {m.order_goTo()}
        </Button>
      )}
      <div className="w-32">
        <NumberField
          key={segment.id}
          label={m.order_howLong()}
          value={segment.minutes}
          min={1}
          max={600}
          onSave={(minutes) => control.edit(segment.id, { minutes })}
        />
      </div>
      <RoundGroups segment={segment} classId={classId} control={control} />
      <SavedText
        label={m.order_whatToDo()}
        hint={m.next_instructionsHint()}
        value={segment.instructions}
        maxLength={2000}
        rows={3}
        onSave={(instructions) =>
          control.edit(segment.id, { instructions }).catch((problem: unknown) => {
            fail(problem);
            throw problem;
          })
        }
      />
      {children}
      <div className="-ms-2 flex flex-wrap gap-1 border-t border-line pt-2 text-sm">
        {earlier !== null && (
          <Button look="quiet" onClick={earlier}>
            {m.order_earlier()}
          </Button>
        )}
        {later !== null && (
          <Button look="quiet" onClick={later}>
            {m.order_later()}
          </Button>
        )}
        {takeOut !== null && (
          <Button look="quiet" onClick={takeOut}>
            {m.order_takeOut()}
          </Button>
        )}
      </div>
    </div>
  );
}
