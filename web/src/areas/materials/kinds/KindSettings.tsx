// What a teacher sets for a kind of block beside its text.
import type { ReactNode } from 'react';
import { Tick } from '../../../ui/fields/Tick';
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

type Change = (change: Partial<Block['settings']>, about?: string) => void;

interface PartProps {
  block: Block;
  change: Change;
}

interface ListProps extends PartProps {
  title: string;
  add: string;
}

/** Typing on in a list is one step; a line more or less is another. */
function Items({ block, change, title, add, under }: ListProps & { under?: Block['settings']['heads'] }) {
  const { items } = block.settings;
  return (
    <ItemsEditor
      title={title}
      add={add}
      items={items}
      most={most.items}
      {...(under === undefined ? {} : { under })}
      onChange={(next) => change({ items: next }, next.length === items.length ? `${block.id}.items` : '')}
    />
  );
}

function Heads({ block, change, title, add }: ListProps) {
  const { heads } = block.settings;
  return (
    <ItemsEditor
      title={title}
      add={add}
      items={heads}
      most={most.heads}
      onChange={(next) => change({ heads: next }, next.length === heads.length ? `${block.id}.heads` : '')}
    />
  );
}

type Yes = 'growing' | 'alone' | 'shown' | 'several';

/** A setting that is on or off. */
function OnOff({ block, change, which, label }: PartProps & { which: Yes; label: string }) {
  return <Tick label={label} checked={block.settings[which]} onChange={(on) => change({ [which]: on })} />;
}

function Address({ block, change }: PartProps) {
  return (
    <label className="block text-sm font-semibold">
      {m.edit_address()}
      <input
        type="url"
        value={block.settings.address}
        maxLength={2_000}
        placeholder="https://"
        onChange={(event) => change({ address: event.target.value.trim() }, `${block.id}.address`)}
        className="mt-1 w-full border border-ink bg-sheet px-2 py-1.5 text-base font-normal"
      />
    </label>
  );
}

function Passage({ block, change }: PartProps) {
  return (
    <label className="block text-sm font-semibold">
      {m.edit_passage()}
      <textarea
        rows={4}
        value={block.settings.passage}
        maxLength={20_000}
        onChange={(event) => change({ passage: event.target.value }, `${block.id}.passage`)}
        className="mt-1 block field-sizing-content max-h-80 w-full border border-ink bg-sheet px-2 py-1.5 text-base font-normal"
      />
    </label>
  );
}

function Medium({ block, change }: PartProps) {
  if (block.kind !== 'picture' && block.kind !== 'spokenNote') return null;
  return <MediaEditor kind={block.kind} media={block.settings.media} onChange={(media) => change({ media })} />;
}

/** For each kind what it has a use for. */
const partsOf: Partial<Record<Block['kind'], (props: PartProps) => ReactNode>> = {
  link: Address,
  picture: Medium,
  spokenNote: Medium,
  sort: (props) => (
    <>
      <Heads {...props} title={m.edit_headings()} add={m.edit_addHeading()} />
      <Items {...props} title={m.edit_cards()} add={m.edit_addCard()} under={props.block.settings.heads} />
      <OnOff {...props} which="growing" label={m.edit_mayAddCards()} />
    </>
  ),
  ticks: (props) => (
    <>
      <Items {...props} title={m.edit_lines()} add={m.edit_addLine()} />
      <OnOff {...props} which="alone" label={m.edit_tickAlone()} />
    </>
  ),
  table: (props) => (
    <>
      <Heads {...props} title={m.edit_columns()} add={m.edit_addColumn()} />
      <Items {...props} title={m.edit_rows()} add={m.edit_addRow()} />
      <OnOff {...props} which="growing" label={m.edit_mayAddRows()} />
    </>
  ),
  markUp: (props) => (
    <>
      <Passage {...props} />
      <Heads {...props} title={m.edit_markKinds()} add={m.edit_addMarkKind()} />
    </>
  ),
  number: (props) => <OnOff {...props} which="shown" label={m.edit_showNumbers()} />,
  mend: (props) => <Items {...props} title={m.edit_sentences()} add={m.edit_addSentence()} />,
  choose: (props) => (
    <>
      <Items {...props} title={m.edit_options()} add={m.edit_addOption()} />
      <OnOff {...props} which="several" label={m.edit_mayChooseSeveral()} />
      <OnOff {...props} which="shown" label={m.edit_showSpread()} />
    </>
  ),
};

/** What a kind has beside its text. */
export function KindSettings({ block, onChange }: SettingsProps) {
  const Parts = partsOf[block.kind];
  if (Parts === undefined) return null;
  return <Parts block={block} change={(change, about) => onChange({ ...block.settings, ...change }, about)} />;
}
