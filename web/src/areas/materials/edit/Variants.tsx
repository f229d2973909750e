// The forms of a worksheet: what is easier, harder, or another part of the text.
import { useState } from 'react';
import { Button } from '../../../ui/Button';
import { Sideways } from '../../../ui/page/Sideways';
import * as m from '#messages';
import { blocksOf, freshId, type Block, type Variant } from '../blocks';
import { cutText } from './cutText';
import type { Draft } from './drafts';

const most = 40;

/** The text that can be other in a variant: of a text to mark its passage, of all else the text. */
const textOf = (block: Block) => (block.kind === 'markUp' ? block.settings.passage : block.text);

function inVariant(block: Block, variant: string, text: string): Block {
  const rest = block.variants.filter((one) => one.variant !== variant);
  if (text === '') return { ...block, variants: rest };
  const one = block.kind === 'markUp' ? { variant, text: block.text, passage: text } : { variant, text, passage: '' };
  return { ...block, variants: [...rest, one] };
}

function shownIn(block: Block, variant: string): string {
  const one = block.variants.find((other) => other.variant === variant);
  return one === undefined ? '' : block.kind === 'markUp' ? one.passage : one.text;
}

type Change = (draft: Draft, about?: string) => void;

/** The same pages with every block changed. */
const each = ({ pages }: Draft, change: (block: Block) => Block) =>
  pages.map((page) => ({ ...page, blocks: page.blocks.map(change) }));

/** Another form, which says nothing of its own yet. */
const withVariant = (draft: Draft): Draft => ({
  ...draft,
  variants: [...draft.variants, { id: freshId('v'), name: m.edit_variantFrom({ n: draft.variants.length + 1 }) }],
});

const withoutVariant = (draft: Draft, gone: string): Draft => ({
  ...draft,
  variants: draft.variants.filter((one) => one.id !== gone),
  pages: each(draft, (block) => ({ ...block, variants: block.variants.filter((one) => one.variant !== gone) })),
});

/** The longest text of a worksheet, and the parts it can be cut into. */
function cuttable(blocks: Block[]) {
  const longest = blocks.reduce<Block | null>(
    (before, block) => (textOf(block).length > (before === null ? 0 : textOf(before).length) ? block : before),
    null,
  );
  return { longest, parts: longest === null ? [] : cutText(textOf(longest)).slice(0, most) };
}

/** The text becomes so many variants; in the plain form it stands whole. */
function withCut(draft: Draft, { longest, parts }: ReturnType<typeof cuttable>): Draft {
  const made = parts.map((part, i): Variant => ({
    id: freshId('v'),
    name: part.title || m.edit_variantFrom({ n: i + 1 }),
  }));
  const cut = (block: Block) =>
    made.reduce<Block>((now, one, i) => inVariant(now, one.id, parts[i]?.text ?? ''), { ...block, variants: [] });
  return {
    ...draft,
    variants: made,
    pages: each(draft, (block) => (block.id === longest?.id ? cut(block) : { ...block, variants: [] })),
  };
}

/** The name of a form, over its column. */
function VariantHead({ draft, variant, onChange }: { draft: Draft; variant: Variant; onChange: Change }) {
  const rename = (name: string) =>
    onChange(
      { ...draft, variants: draft.variants.map((one) => (one.id === variant.id ? { ...one, name } : one)) },
      `${variant.id}.name`,
    );
  return (
    <th scope="col" className="min-w-56 border border-ink bg-wash px-1 py-1">
      <span className="flex items-center gap-1">
        <input
          value={variant.name}
          maxLength={120}
          aria-label={m.edit_variantName()}
          onChange={(event) => rename(event.target.value)}
          className="min-w-0 flex-1 border border-line bg-sheet px-1.5 py-0.5 font-semibold"
        />
        <Button
          look="quiet"
          aria-label={m.edit_dropVariant({ name: variant.name })}
          onClick={() => onChange(withoutVariant(draft, variant.id))}
        >
          ×
        </Button>
      </span>
    </th>
  );
}

/** What a block says in its plain form and in each of the others. */
function BlockRow({ draft, block, onChange }: { draft: Draft; block: Block; onChange: Change }) {
  const write = (variant: string, text: string) =>
    onChange(
      { ...draft, pages: each(draft, (one) => (one.id === block.id ? inVariant(one, variant, text) : one)) },
      `${block.id}.${variant}`,
    );
  return (
    <tr>
      <th scope="row" className="max-w-64 border border-line px-2 py-1 align-top font-normal text-soft">
        <span className="line-clamp-4 whitespace-pre-wrap wrap-anywhere">{textOf(block)}</span>
      </th>
      {draft.variants.map((one) => (
        <td key={one.id} className="border border-line p-0 align-top">
          <textarea
            aria-label={m.edit_textIn({ block: m.edit_kinds({ key: block.kind }), variant: one.name })}
            rows={2}
            maxLength={20_000}
            value={shownIn(block, one.id)}
            onChange={(event) => write(one.id, event.target.value)}
            className="block field-sizing-content max-h-48 min-h-14 w-full resize-none bg-sheet px-2 py-1"
          />
        </td>
      ))}
    </tr>
  );
}

function VariantTable({ draft, blocks, onChange }: { draft: Draft; blocks: Block[]; onChange: Change }) {
  return (
    <Sideways label={m.edit_variants()} className="mt-2">
      <p className="mb-2 text-sm text-soft">{m.edit_variantsLead()}</p>
      <table className="border-collapse text-start text-sm">
        <thead>
          <tr>
            <th scope="col" className="min-w-48 border border-ink bg-wash px-2 py-1">
              {m.edit_plain()}
            </th>
            {draft.variants.map((one) => (
              <VariantHead key={one.id} draft={draft} variant={one} onChange={onChange} />
            ))}
          </tr>
        </thead>
        <tbody>
          {blocks.map((block) => (
            <BlockRow key={block.id} draft={draft} block={block} onChange={onChange} />
          ))}
        </tbody>
      </table>
    </Sideways>
  );
}

/** The forms of an original side by side: for each block that says something, what it says in each. */
export function Variants({ draft, onChange }: { draft: Draft; onChange: Change }) {
  const [open, setOpen] = useState(false);
  const { variants, pages } = draft;
  const blocks = blocksOf(pages).filter((block) => block.kind !== 'link');
  const cut = cuttable(blocks);
  const make = (next: Draft) => {
    onChange(next);
    setOpen(true);
  };
  return (
    <section className="mt-3 border-y border-line py-2">
      <div className="flex flex-wrap items-center gap-2">
        <Button look="quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
          {m.edit_variants()}: {variants.length}
        </Button>
        <Button className="text-sm" onClick={() => make(withVariant(draft))} disabled={variants.length >= most}>
          {m.edit_addVariant()}
        </Button>
        {variants.length === 0 && cut.parts.length > 1 && (
          <Button className="text-sm" onClick={() => make(withCut(draft, cut))}>
            {m.edit_cut()} ({m.edit_cutLead({ n: cut.parts.length })})
          </Button>
        )}
      </div>
      {open && variants.length > 0 && <VariantTable draft={draft} blocks={blocks} onChange={onChange} />}
    </section>
  );
}
