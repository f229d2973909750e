// Groupings that were kept aside, to compare and to take up again.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { useMessages } from '../../../ui/page/messages';
import { Sheet } from '../../../ui/slips/Sheet';
import * as m from '#messages';
import { goalName } from './goals/goalName';
import { MetBar } from './goals/MetBar';
import type { Desk } from './useDesk';

function Column({
  title,
  groups,
  goals,
  desk,
  nameOf,
  children,
}: {
  title: string;
  groups: readonly { name: string; students: string[] }[];
  goals: Schema['GoalStandingView'][];
  desk: Desk;
  nameOf: (id: string) => string;
  children?: React.ReactNode;
}) {
  return (
    <li className="max-w-80 min-w-56 flex-1 border-2 border-ink bg-sheet p-3">
      <h3 className="font-semibold">{title}</h3>
      <ul className="mt-2 space-y-1 text-sm">
        {(desk.settings.goals ?? []).map((goal, i) => (
          <li key={goalName(goal)}>
            {goalName(goal)}
            <MetBar met={goals[i]?.met ?? 0} label={`${title}: ${goalName(goal)}`} />
          </li>
        ))}
      </ul>
      <div className="mt-3 flex flex-wrap gap-2">{children}</div>
      <ul className="mt-3 space-y-1.5 text-sm">
        {groups.map((group) => (
          <li key={group.name}>
            <span className="font-semibold">{group.name}</span>
            <span className="block text-soft">{group.students.map(nameOf).join(', ')}</span>
          </li>
        ))}
      </ul>
    </li>
  );
}

/** Keeps the floor that stands, or drops one that was kept. */
function useVariants(desk: Desk) {
  const queries = useQueryClient();
  const { say, fail } = useMessages();
  const refresh = () => queries.invalidateQueries({ queryKey: ['desk', desk.id] });
  const keep = useMutation({
    mutationFn: () =>
      take(
        api.POST('/api/staff/groupings/{id}/variants', {
          params: { path: { id: desk.id } },
          body: { name: m.desk_variantName({ n: desk.variants.length + 1 }) },
        }),
      ),
    onSettled: refresh,
    onError: fail,
  });
  const restore = useMutation({
    mutationFn: (variant: string) =>
      take(
        api.POST('/api/staff/groupings/{id}/variants/{variant}/restore', {
          params: { path: { id: desk.id, variant } },
        }),
      ),
    onSettled: refresh,
    onError: fail,
  });
  const drop = useMutation({
    mutationFn: (variant: string) =>
      take(api.DELETE('/api/staff/groupings/{id}/variants/{variant}', { params: { path: { id: desk.id, variant } } })),
    onSuccess: (_, variant) => say(m.desk_variantDropped(), () => restore.mutate(variant)),
    onSettled: refresh,
    onError: fail,
  });
  return { keep, drop };
}

/** Floors laid aside, side by side with the one that stands. */
export function Variants({
  desk,
  open,
  nameOf,
  onClose,
  onUse,
}: {
  desk: Desk;
  open: boolean;
  nameOf: (id: string) => string;
  onClose: () => void;
  onUse: (variant: Schema['VariantView']) => void;
}) {
  const { keep, drop } = useVariants(desk);
  const column = { desk, nameOf };
  return (
    <Sheet open={open} onClose={onClose} title={m.desk_variants()} wide="page">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <p className="text-sm text-soft">{m.desk_variantsNone()}</p>
        <Button onClick={() => keep.mutate()} busy={keep.isPending} disabled={desk.floor.groups.length === 0}>
          {m.desk_variantKeep()}
        </Button>
      </div>
      {/* A row that scrolls has to be reachable by keyboard. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
      <ul className="mt-4 flex gap-3 overflow-x-auto pb-2" tabIndex={0} aria-label={m.desk_compare()}>
        <Column title={m.desk_variantNow()} groups={desk.floor.groups} goals={desk.standings.goals} {...column} />
        {desk.variants.map((variant) => (
          <Column key={variant.id} title={variant.name} groups={variant.groups} goals={variant.goals} {...column}>
            <Button
              onClick={() => {
                onUse(variant);
                onClose();
              }}
            >
              {m.desk_variantUse()}
            </Button>
            <Button look="quiet" onClick={() => drop.mutate(variant.id)}>
              {m.desk_variantDrop()}
            </Button>
          </Column>
        ))}
      </ul>
    </Sheet>
  );
}
