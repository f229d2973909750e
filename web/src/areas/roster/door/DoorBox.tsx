// How students join a class: its door word, and the settings of the door.
import { useState } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import * as m from '#messages';
import { Code } from '../../../ui/signs/Code';
import { useCopy } from '../../../ui/useCopy';
import { Sheet } from '../../../ui/slips/Sheet';
import { Tick } from '../../../ui/fields/Tick';
import { pageLanguage } from '../../../words/place';
import { doorLink } from './doorLink';
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

function languageOptions(now: string) {
  // Not with the file: this takes a tenth of a second on a slow device.
  const names = new Intl.DisplayNames(pageLanguage(), { type: 'language' });
  return [...new Set([now, ...languages])].map((code) => ({
    value: code,
    label: m.door_speaks({ language: names.of(code) ?? code }),
  }));
}

const modes: Schema['DoorMode'][] = ['open', 'checked', 'passOnly'];

/** Who comes in how, and presses for new words and free names. */
function DoorSettings({ data }: { data: Schema['ClassView'] }) {
  const queries = useQueryClient();
  const {
    names: settings,
    renew,
    freeAll,
  } = useDoor(data.id, () => queries.invalidateQueries({ queryKey: ['class', data.id] }));
  const inside = data.students.filter((student) => student.claimed).length;
  const disabled = settings.isPending;
  return (
    <div className="flex flex-col items-start gap-3">
      <Choice
        label={m.door_mode()}
        className="w-full"
        value={data.door}
        disabled={disabled}
        options={modes.map((mode) => ({ value: mode, label: m.door_modes({ key: mode }) }))}
        onChange={(mode) => settings.mutate({ mode })}
      />
      <Tick
        label={m.door_press()}
        checked={data.namesAtDoor}
        disabled={disabled}
        onChange={(names) => settings.mutate({ names })}
      />
      <Tick
        label={m.door_cannotRead()}
        checked={data.cannotReadYet}
        disabled={disabled}
        onChange={(cannotReadYet) => settings.mutate({ cannotReadYet })}
      />
      {data.cannotReadYet && (
        <Choice
          label={m.door_language()}
          className="w-full"
          value={data.language}
          disabled={disabled}
          options={languageOptions(data.language)}
          onChange={(language) => settings.mutate({ language })}
        />
      )}
      <Tick
        label={m.door_twoDevices()}
        checked={data.twoDevices}
        disabled={disabled}
        onChange={(twoDevices) => settings.mutate({ twoDevices })}
      />
      <div className="flex w-full flex-wrap gap-2 border-t border-line pt-3">
        <Button onClick={() => renew.mutate()} busy={renew.isPending}>
          {m.door_renew()}
        </Button>
        {inside > 0 && (
          <Button onClick={() => freeAll.mutate()} busy={freeAll.isPending}>
            {m.door_freeAll({ n: inside })}
          </Button>
        )}
      </div>
    </div>
  );
}

/** How students join: a card with the join words, the link and the code, and a panel with the settings. */
export function DoorBox({ data }: { data: Schema['ClassView'] }) {
  const [open, setOpen] = useState(false);
  const link = doorLink(data.doorWord);
  const copy = useCopy();
  return (
    <section aria-label={m.door_title()} className="flex items-center gap-5 border-2 border-ink bg-sheet p-4 text-sm">
      <Code text={link} className="size-24 shrink-0" />
      <div className="min-w-0">
        <DoorSign doorWord={data.doorWord} className="text-start text-3xl" />
        <p className="mt-1 text-soft wrap-anywhere">
          {m.roster_doorWordLead()} <span className="text-ink">{location.host}/student</span>
        </p>
        <p className="mt-1 -ms-2 print:hidden">
          <Button look="quiet" onClick={() => copy(link, m.door_copied())}>
            {m.door_copy()}
          </Button>
          <Button look="quiet" onClick={() => setOpen(true)}>
            {m.door_settings()}
          </Button>
        </p>
      </div>
      <Sheet open={open} onClose={() => setOpen(false)} title={m.door_settings()}>
        <DoorSettings data={data} />
      </Sheet>
    </section>
  );
}
