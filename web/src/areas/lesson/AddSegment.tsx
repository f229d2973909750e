import { Choices, Do } from '../../ui/Choices';
import { words } from '../../words';
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
    <Choices label={`+ ${words.order.addOne}`} name={words.order.add} className="shrink-0">
      {kinds.map((kind) => (
        <Do
          key={kind}
          note={words.order.kindNote[kind]}
          onPress={() => control.put(withNew(asOrdered(order.segments), kind, order.spare))}
        >
          {words.order.kind[kind]}
        </Do>
      ))}
      <Do onPress={onFill}>{words.order.fill}</Do>
    </Choices>
  );
}
