import { useState } from 'react';
import { Button } from '../../../ui/Button';
import { Sideways } from '../../../ui/Sideways';
import * as m from '#messages';
import { blocksOf, freshId, type Block, type Variant } from '../blocks';
import { cutText } from '../cutText';
import type { Draft } from '../drafts';

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

/** The forms of an original side by side: for each block that says something, what it says in each. */
export function Variants({ draft, onChange }: { draft: Draft; onChange: (draft: Draft, about?: string) => void }) {
  const [open, setOpen] = useState(false);
  const { variants, pages } = draft;
  const blocks = blocksOf(pages).filter((block) => block.kind !== 'link');
  const each = (change: (block: Block) => Block) => pages.map((page) => ({ ...page, blocks: page.blocks.map(change) }));
  const add = () => {
    const made: Variant = { id: freshId('v'), name: m.edit_variantFrom({ n: variants.length + 1 }) };
    onChange({ ...draft, variants: [...variants, made] });
    setOpen(true);
  };
  const drop = (gone: Variant) => {
    onChange({
      ...draft,
      variants: variants.filter((one) => one.id !== gone.id),
      pages: each((block) => ({ ...block, variants: block.variants.filter((one) => one.variant !== gone.id) })),
    });
  };
  const longest = blocks.reduce<Block | null>(
    (most_, block) => (textOf(block).length > (most_ === null ? 0 : textOf(most_).length) ? block : most_),
    null,
  );
  const parts = longest === null ? [] : cutText(textOf(longest)).slice(0, most);
  /** The text becomes so many variants; in the plain form it stands whole. */
  const cut = () => {
    if (longest === null) return;
    const made = parts.map((part, i): Variant => ({
      id: freshId('v'),
      name: part.title || m.edit_variantFrom({ n: i + 1 }),
    }));
    onChange({
      ...draft,
      variants: made,
      pages: each((block) =>
        block.id === longest.id
          ? made.reduce<Block>((now, one, i) => inVariant(now, one.id, parts[i]?.text ?? ''), {
              ...block,
              variants: [],
            })
          : { ...block, variants: [] },
      ),
    });
    setOpen(true);
  };
  return (
    <section className="mt-3 border-y border-line py-2">
      <div className="flex flex-wrap items-center gap-2">
        <Button look="quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
          {m.edit_variants()}: {variants.length}
        </Button>
        <Button className="text-sm" onClick={add} disabled={variants.length >= most}>
          {m.edit_addVariant()}
        </Button>
        {variants.length === 0 && parts.length > 1 && (
          <Button className="text-sm" onClick={cut}>
            {m.edit_cut()} ({m.edit_cutLead({ n: parts.length })})
          </Button>
        )}
      </div>
      {open && variants.length > 0 && (
        <Sideways label={m.edit_variants()} className="mt-2">
          <p className="mb-2 text-sm text-soft">{m.edit_variantsLead()}</p>
          <table className="border-collapse text-start text-sm">
            <thead>
              <tr>
                <th scope="col" className="min-w-48 border border-ink bg-wash px-2 py-1">
                  {m.edit_plain()}
                </th>
                {variants.map((one) => (
                  <th key={one.id} scope="col" className="min-w-56 border border-ink bg-wash px-1 py-1">
                    <span className="flex items-center gap-1">
                      <input
                        value={one.name}
                        maxLength={120}
                        aria-label={m.edit_variantName()}
                        onChange={(event) =>
                          onChange(
                            {
                              ...draft,
                              variants: variants.map((two) =>
                                two.id === one.id ? { ...two, name: event.target.value } : two,
                              ),
                            },
                            `${one.id}.name`,
                          )
                        }
                        className="min-w-0 flex-1 border border-line bg-sheet px-1.5 py-0.5 font-semibold"
                      />
                      <Button
                        look="quiet"
                        aria-label={m.edit_dropVariant({ name: one.name })}
                        onClick={() => drop(one)}
                      >
                        ×
                      </Button>
                    </span>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {blocks.map((block) => (
                <tr key={block.id}>
                  <th scope="row" className="max-w-64 border border-line px-2 py-1 align-top font-normal text-soft">
                    <span className="line-clamp-4 whitespace-pre-wrap wrap-anywhere">{textOf(block)}</span>
                  </th>
                  {variants.map((one) => (
                    <td key={one.id} className="border border-line p-0 align-top">
                      <textarea
                        aria-label={m.edit_textIn({ block: m.edit_kinds({ key: block.kind }), variant: one.name })}
                        rows={2}
                        maxLength={20_000}
                        value={shownIn(block, one.id)}
                        onChange={(event) =>
                          onChange(
                            {
                              ...draft,
                              pages: each((two) =>
                                two.id === block.id ? inVariant(two, one.id, event.target.value) : two,
                              ),
                            },
                            `${block.id}.${one.id}`,
                          )
                        }
                        className="block field-sizing-content max-h-48 min-h-14 w-full resize-none bg-sheet px-2 py-1"
                      />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </Sideways>
      )}
    </section>
  );
}
