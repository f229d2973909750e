import { useState } from 'react';
import { Choice } from '../../../ui/Choice';
import { Field } from '../../../ui/Field';
import { Tick } from '../../../ui/Tick';
import * as m from '#messages';
import type { Block } from '../blocks';
import { ItemsEditor } from './ItemsEditor';
import { MediaEditor } from './MediaEditor';

interface Props {
  block: Block;
  /** @param about what is typed in */
  onChange: (settings: Block['settings'], about?: string) => void;
}

const most = { items: 60, heads: 12 };

/** What a kind has beside its text, for each kind what it has a use for. */
function KindSettings({ block, onChange }: Props) {
  const { settings } = block;
  const set = (change: Partial<Block['settings']>, about?: string) => onChange({ ...settings, ...change }, about);
  const items = (title: string, add: string, under?: Block['settings']['heads']) => (
    <ItemsEditor
      title={title}
      add={add}
      items={settings.items}
      most={most.items}
      {...(under === undefined ? {} : { under })}
      onChange={(next) => set({ items: next }, next.length === settings.items.length ? `${block.id}.items` : '')}
    />
  );
  const heads = (title: string, add: string) => (
    <ItemsEditor
      title={title}
      add={add}
      items={settings.heads}
      most={most.heads}
      onChange={(next) => set({ heads: next }, next.length === settings.heads.length ? `${block.id}.heads` : '')}
    />
  );
  switch (block.kind) {
    case 'link':
      return (
        <label className="block text-sm font-semibold">
          {m.edit_address()}
          <input
            type="url"
            value={settings.address}
            maxLength={2_000}
            placeholder="https://"
            onChange={(event) => set({ address: event.target.value.trim() }, `${block.id}.address`)}
            className="mt-1 w-full border border-ink bg-sheet px-2 py-1.5 text-base font-normal"
          />
        </label>
      );
    case 'picture':
    case 'spokenNote':
      return <MediaEditor kind={block.kind} media={settings.media} onChange={(media) => set({ media })} />;
    case 'sort':
      return (
        <>
          {heads(m.edit_headings(), m.edit_addHeading())}
          {items(m.edit_cards(), m.edit_addCard(), settings.heads)}
          <Tick label={m.edit_mayAddCards()} checked={settings.growing} onChange={(growing) => set({ growing })} />
        </>
      );
    case 'ticks':
      return (
        <>
          {items(m.edit_lines(), m.edit_addLine())}
          <Tick label={m.edit_tickAlone()} checked={settings.alone} onChange={(alone) => set({ alone })} />
        </>
      );
    case 'table':
      return (
        <>
          {heads(m.edit_columns(), m.edit_addColumn())}
          {items(m.edit_rows(), m.edit_addRow())}
          <Tick label={m.edit_mayAddRows()} checked={settings.growing} onChange={(growing) => set({ growing })} />
        </>
      );
    case 'markUp':
      return (
        <>
          <label className="block text-sm font-semibold">
            {m.edit_passage()}
            <textarea
              rows={4}
              value={settings.passage}
              maxLength={20_000}
              onChange={(event) => set({ passage: event.target.value }, `${block.id}.passage`)}
              className="mt-1 block field-sizing-content max-h-80 w-full border border-ink bg-sheet px-2 py-1.5 text-base font-normal"
            />
          </label>
          {heads(m.edit_markKinds(), m.edit_addMarkKind())}
        </>
      );
    case 'mend':
      return items(m.edit_sentences(), m.edit_addSentence());
    case 'choose':
      return (
        <>
          {items(m.edit_options(), m.edit_addOption())}
          <Tick label={m.edit_mayChooseSeveral()} checked={settings.several} onChange={(several) => set({ several })} />
          <Tick label={m.edit_showSpread()} checked={settings.shown} onChange={(shown) => set({ shown })} />
        </>
      );
    default:
      return null;
  }
}

const whos = ['everybody', 'seats', 'role'] as const;
type Who = (typeof whos)[number];

/** Numbers of seats as they are typed: “1, 2”. */
const seatsIn = (text: string) => [
  ...new Set((text.match(/\d+/gu) ?? []).map(Number).filter((seat) => seat >= 1 && seat <= 99)),
];

/** For whom of the group a slot is. */
function Part({ block, onChange }: Props) {
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
export function SlotSettings({ part, ...props }: Props & { part: boolean }) {
  return (
    <>
      <KindSettings {...props} />
      {part && <Part {...props} />}
    </>
  );
}
