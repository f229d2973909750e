// How participation points come about, stated by the teacher for all lessons of the class.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, take, type Schema } from '../../api/client';
import { problemText } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/fields/Choice';
import { NumberField } from '../../ui/fields/NumberField';
import * as m from '#messages';
import type { PointsPart, RecordView } from './figures';

type Kind = Schema['PointsKind'];
const kinds: Kind[] = ['inPlace', 'wrote', 'answered', 'calledOn'];
/** What a new part asks for, and the most that can be asked. */
const usual: Record<Kind, number> = { inPlace: 80, wrote: 10, answered: 1, calledOn: 1 };
const most: Record<Kind, number> = { inPlace: 100, wrote: 100_000, answered: 100, calledOn: 100 };
const mostParts = 8;

function useStatePoints(record: RecordView) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (parts: PointsPart[]) =>
      take(
        api.PUT('/api/staff/lessons/{id}/record/points', {
          params: { path: { id: record.lesson } },
          body: { parts },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['record'] }),
  });
}

function Part({
  part,
  onChange,
  onRemove,
}: {
  part: PointsPart;
  onChange: (part: PointsPart) => Promise<unknown>;
  onRemove: () => void;
}) {
  return (
    <li className="flex flex-wrap items-end gap-3 border-b border-line pb-2">
      <Choice
        label={m.record_points_what()}
        className="w-64"
        value={part.kind}
        options={kinds.map((kind) => ({ value: kind, label: m.record_points_kind({ key: kind }) }))}
        onChange={(kind) => void onChange({ ...part, kind, atLeast: usual[kind] })}
      />
      <div className="w-56">
        <NumberField
          label={m.record_points_atLeast({ key: part.kind })}
          value={part.atLeast}
          min={1}
          max={most[part.kind]}
          onSave={(atLeast) => onChange({ ...part, atLeast })}
        />
      </div>
      <div className="w-24">
        <NumberField
          label={m.record_points_points()}
          value={part.points}
          min={1}
          max={100}
          onSave={(points) => onChange({ ...part, points })}
        />
      </div>
      <Button look="quiet" className="mb-1" onClick={onRemove}>
        {m.record_points_remove()}
      </Button>
    </li>
  );
}

export function PointsRule({ record }: { record: RecordView }) {
  const state = useStatePoints(record);
  const parts = record.pointsRule;
  const free = kinds.find((kind) => !parts.some((part) => part.kind === kind)) ?? 'inPlace';
  return (
    <div className="mt-6">
      <h3 className="text-lg">{m.record_points_title()}</h3>
      <p className="mb-2 text-sm text-soft">
        {parts.length === 0 ? m.record_points_none() : m.record_points_for({ className: record.className })}
      </p>
      <ul className="space-y-3">
        {parts.map((part, i) => (
          <Part
            key={`${parts.length} ${i}`}
            part={part}
            onChange={(changed) => state.mutateAsync(parts.map((one, n) => (n === i ? changed : one)))}
            onRemove={() => state.mutate(parts.filter((_, n) => n !== i))}
          />
        ))}
      </ul>
      {state.isError && <p className="mt-2 text-sm font-semibold text-lost">{problemText(state.error)}</p>}
      {parts.length < mostParts && (
        <Button
          className="mt-3"
          busy={state.isPending}
          onClick={() => state.mutate([...parts, { kind: free, atLeast: usual[free], points: 1 }])}
        >
          {parts.length === 0 ? m.record_points_begin() : m.record_points_add()}
        </Button>
      )}
    </div>
  );
}
