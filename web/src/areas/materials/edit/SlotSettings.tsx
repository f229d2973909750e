// What a block has beside its text, and for whom it is.
import { useState } from 'react';
import { Choice } from '../../../ui/fields/Choice';
import { Field } from '../../../ui/fields/Field';
import { Tick } from '../../../ui/fields/Tick';
import * as m from '#messages';
import { KindSettings, type SettingsProps } from '../kinds/KindSettings';

const whos = ['everybody', 'seats', 'role'] as const;
type Who = (typeof whos)[number];

/** Numbers of seats as they are typed: “1, 2”. */
const seatsIn = (text: string) => [
  ...new Set((text.match(/\d+/gu) ?? []).map(Number).filter((seat) => seat >= 1 && seat <= 99)),
];

/** For whom of the group a slot is. */
function Part({ block, onChange }: SettingsProps) {
  const { part } = block.settings;
  const [who, setWho] = useState<Who>(part.role !== '' ? 'role' : 'seats');
  const [seats, setSeats] = useState(part.seats.join(', '));
  const set = (change: Partial<typeof part>, about?: string) =>
    onChange({ ...block.settings, part: { ...part, ...change } }, about);
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
      <Choice
        label={m.edit_whoFills()}
        className="text-sm"
        value={who}
        options={whos.map((value) => ({ value, label: m.edit_fillers({ key: value }) }))}
        onChange={(next) => {
          setWho(next);
          set({
            seats: next === 'seats' ? seatsIn(seats) : [],
            role: '',
            private: next === 'everybody' ? false : part.private,
          });
        }}
      />
      {who === 'seats' && (
        <Field
          label={m.edit_fillerSeats()}
          placeholder={m.edit_fillerSeatsHint()}
          className="w-44 text-sm"
          inputMode="numeric"
          value={seats}
          maxLength={60}
          onChange={(event) => {
            setSeats(event.target.value);
            set({ seats: seatsIn(event.target.value).slice(0, 12) }, `${block.id}.seats`);
          }}
        />
      )}
      {who === 'role' && (
        <Field
          label={m.edit_fillerRole()}
          placeholder={m.edit_fillerRoleHint()}
          className="w-72 text-sm"
          value={part.role}
          maxLength={60}
          onChange={(event) => set({ role: event.target.value }, `${block.id}.role`)}
        />
      )}
      {who !== 'everybody' && (
        <Tick label={m.edit_fillersPrivate()} checked={part.private} onChange={(on) => set({ private: on })} />
      )}
    </div>
  );
}

/** What a block has beside its text; and for whom it is, where that is asked for. */
export function SlotSettings({ part, ...props }: SettingsProps & { part: boolean }) {
  return (
    <>
      <KindSettings {...props} />
      {part && <Part {...props} />}
    </>
  );
}
