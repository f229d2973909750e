import { useQueryClient } from '@tanstack/react-query';
import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { words } from '../../words';
import { DoorSign } from './DoorSign';
import { useDoor } from './useDoor';

const modes: Schema['DoorMode'][] = ['open', 'checked', 'passOnly'];

/** How students come in: the door word, and what can be done about it. */
export function DoorBox({ data }: { data: Schema['ClassView'] }) {
  const queries = useQueryClient();
  const door = useDoor(data.id, () => queries.invalidateQueries({ queryKey: ['class', data.id] }));
  const inside = data.students.filter((student) => student.claimed).length;
  return (
    <section aria-label={words.door.title} className="text-right text-sm text-soft">
      <p>
        {words.roster.doorWordLead} <span className="text-ink">{window.location.host}/student</span>
        <span className="block">
          <DoorSign doorWord={data.doorWord} className="text-4xl" />
        </span>
      </p>
      <div className="mt-1 flex flex-wrap items-center justify-end gap-x-3 print:hidden">
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={data.namesAtDoor}
            disabled={door.names.isPending}
            onChange={(event) => door.names.mutate({ names: event.target.checked })}
          />
          {words.door.press}
        </label>
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={data.cannotReadYet}
            disabled={door.names.isPending}
            onChange={(event) => door.names.mutate({ cannotReadYet: event.target.checked })}
          />
          {words.door.cannotRead}
        </label>
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={data.twoDevices}
            disabled={door.names.isPending}
            onChange={(event) => door.names.mutate({ twoDevices: event.target.checked })}
          />
          {words.door.twoDevices}
        </label>
        <Choice
          label={words.door.mode}
          hidden
          className="text-ink"
          value={data.door}
          disabled={door.names.isPending}
          options={modes.map((mode) => ({ value: mode, label: words.door.modes[mode] }))}
          onChange={(mode) => door.names.mutate({ mode })}
        />
        <Button look="quiet" onClick={() => door.renew.mutate()} busy={door.renew.isPending}>
          {words.door.renew}
        </Button>
        {inside > 0 && (
          <Button look="quiet" onClick={() => door.freeAll.mutate()} busy={door.freeAll.isPending}>
            {words.door.freeAll(inside)}
          </Button>
        )}
      </div>
    </section>
  );
}
