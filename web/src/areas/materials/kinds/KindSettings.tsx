import { Tick } from '../../../ui/Tick';
import * as m from '#messages';
import type { Block } from '../blocks';
import { ItemsEditor } from '../edit/ItemsEditor';
import { MediaEditor } from '../edit/MediaEditor';

export interface SettingsProps {
  block: Block;
  /** @param about what is typed in */
  onChange: (settings: Block['settings'], about?: string) => void;
}

const most = { items: 60, heads: 12 };

/** What a kind has beside its text, for each kind what it has a use for. */
export function KindSettings({ block, onChange }: SettingsProps) {
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
    case 'number':
      return <Tick label={m.edit_showNumbers()} checked={settings.shown} onChange={(shown) => set({ shown })} />;
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
