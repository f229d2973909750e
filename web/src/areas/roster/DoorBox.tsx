import { useQueryClient } from '@tanstack/react-query';
import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import * as m from '#messages';
import { DoorSign } from './DoorSign';
import { useDoor } from './useDoor';

/** Languages that devices have voices for. */
const languages = [
  'en-GB',
  'en-US',
  'ar',
  'bn-BD',
  'cs-CZ',
  'cy-GB',
  'da-DK',
  'de-DE',
  'el-GR',
  'es-ES',
  'fi-FI',
  'fr-FR',
  'he-IL',
  'hi-IN',
  'hu-HU',
  'id-ID',
  'it-IT',
  'ja-JP',
  'ko-KR',
  'nl-NL',
  'no-NO',
  'pl-PL',
  'pt-BR',
  'pt-PT',
  'ro-RO',
  'ru-RU',
  'sk-SK',
  'sv-SE',
  'th-TH',
  'tr-TR',
  'uk-UA',
  'vi-VN',
  'zh-CN',
];
const names = new Intl.DisplayNames(undefined, { type: 'language' });

const languageOptions = (now: string) =>
  [...new Set([now, ...languages])].map((code) => ({
    value: code,
    label: m.door_speaks({ language: names.of(code) ?? code }),
  }));

const modes: Schema['DoorMode'][] = ['open', 'checked', 'passOnly'];

/** How students come in: the door word, and what can be done about it. */
export function DoorBox({ data }: { data: Schema['ClassView'] }) {
  const queries = useQueryClient();
  const door = useDoor(data.id, () => queries.invalidateQueries({ queryKey: ['class', data.id] }));
  const inside = data.students.filter((student) => student.claimed).length;
  return (
    <section aria-label={m.door_title()} className="text-right text-sm text-soft">
      <p>
        {m.roster_doorWordLead()} <span className="text-ink">{window.location.host}/student</span>
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
          {m.door_press()}
        </label>
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={data.cannotReadYet}
            disabled={door.names.isPending}
            onChange={(event) => door.names.mutate({ cannotReadYet: event.target.checked })}
          />
          {m.door_cannotRead()}
        </label>
        {data.cannotReadYet && (
          <Choice
            label={m.door_language()}
            hidden
            className="text-ink"
            value={data.language}
            disabled={door.names.isPending}
            options={languageOptions(data.language)}
            onChange={(language) => door.names.mutate({ language })}
          />
        )}
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={data.twoDevices}
            disabled={door.names.isPending}
            onChange={(event) => door.names.mutate({ twoDevices: event.target.checked })}
          />
          {m.door_twoDevices()}
        </label>
        <Choice
          label={m.door_mode()}
          hidden
          className="text-ink"
          value={data.door}
          disabled={door.names.isPending}
          options={modes.map((mode) => ({ value: mode, label: m.door_modes({ key: mode }) }))}
          onChange={(mode) => door.names.mutate({ mode })}
        />
        <Button look="quiet" onClick={() => door.renew.mutate()} busy={door.renew.isPending}>
          {m.door_renew()}
        </Button>
        {inside > 0 && (
          <Button look="quiet" onClick={() => door.freeAll.mutate()} busy={door.freeAll.isPending}>
            {m.door_freeAll({ n: inside })}
          </Button>
        )}
      </div>
    </section>
  );
}
