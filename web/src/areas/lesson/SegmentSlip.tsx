// What can be changed of one segment of a lesson.
import type { ReactNode } from 'react';
import { useQuery } from '@tanstack/react-query';
import { groupingsQuery } from '../../api/lists';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/fields/Choice';
import { useMessages } from '../../ui/page/messages';
import { NumberField } from '../../ui/fields/NumberField';
import { SavedText } from '../../ui/fields/SavedText';
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

interface Presses {
  earlier: (() => void) | null;
  later: (() => void) | null;
  takeOut: (() => void) | null;
  goTo: (() => void) | null;
  show: (() => void) | null;
}

/** A press for each of those that can be done. */
function PressList({ presses }: { presses: [(() => void) | null, string][] }) {
  return presses.map(
    ([press, label]) =>
      press !== null && (
        <Button key={label} look="quiet" onClick={press}>
          {label}
        </Button>
      ),
  );
}

/** How long it is, in which groups, and what to do. */
function Fields({ segment, classId, control }: SlipProps) {
  const { fail } = useMessages();
  const saveInstructions = (instructions: string) =>
    control.edit(segment.id, { instructions }).catch((problem: unknown) => {
      fail(problem);
      throw problem;
    });
  return (
    <>
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
        onSave={saveInstructions}
      />
    </>
  );
}

/** Everything about one segment: how long, what to do, where it stands. */
export function SegmentSlip({
  earlier,
  later,
  takeOut,
  goTo,
  show,
  children,
  ...slip
}: SlipProps & Presses & { children?: ReactNode }) {
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
      <Fields {...slip} />
      {children}
      <div className="-ms-2 flex flex-wrap gap-1 border-t border-line pt-2 text-sm">
        <PressList
          presses={[
            [earlier, m.order_earlier()],
            [later, m.order_later()],
            [takeOut, m.order_takeOut()],
          ]}
        />
      </div>
    </div>
  );
}
