// Adds a segment to the running order.
import { Choices, Do } from '../../ui/fields/Choices';
import * as m from '#messages';
import { asOrdered, withNew, type Kind, type Order } from './orderMoves';
import type { useOrder } from './useOrder';

const kinds: Kind[] = ['round', 'briefing', 'alone', 'shareOut', 'pause'];

/** Another segment at the end of the running order. */
export function AddSegment({
  order,
  control,
  onFill,
}: {
  order: Order;
  control: ReturnType<typeof useOrder>;
  onFill: () => void;
}) {
  return (
    <Choices label={`+ ${m.order_addOne()}`} name={m.order_add()} className="shrink-0">
      {kinds.map((kind) => (
        <Do
          key={kind}
          note={m.order_kindNote({ key: kind })}
          onPress={() => control.put(withNew(asOrdered(order.segments), kind, order.spare))}
        >
          {m.order_kind({ key: kind })}
        </Do>
      ))}
      <Do onPress={onFill}>{m.order_fill()}</Do>
    </Choices>
  );
}
