// Blocks of a worksheet: what they are, new ones, and as they are in a variant.
import { freshKey, type Schema, type Whole } from '../../api/client';

export type Block = Whole<Schema['BlockView']>;
export type BlockKind = Schema['BlockKind'];
export type BlockItem = Whole<Schema['BlockItem']>;
export type Page = Whole<Schema['PageView']>;
export type Copy = Whole<Schema['CopyView']>;
export type Original = Whole<Schema['OriginalView']>;
export type Variant = Schema['Variant'];

/** Who fills a slot that is for a part of the group; undefined where everybody does. */
export const fillersOf = (copy: Copy, slot: string) => copy.fillers.find((one) => one.slot === slot);

export const blocksOf = (pages: Page[]): Block[] => pages.flatMap((page) => page.blocks);
export const freshId = (kind: string) => `${kind}-${freshKey().slice(0, 8)}`;
export const item = (text = ''): BlockItem => ({ id: freshId('i'), text, under: '' });

const bare: Block['settings'] = {
  items: [],
  heads: [],
  passage: '',
  address: '',
  alone: false,
  several: false,
  growing: false,
  shown: true,
  media: '',
  part: { seats: [], role: '', private: false },
};

/** A new block with nothing in it, or with what it needs to be understood at once. */
export function newBlock(kind: BlockKind, words: Record<string, string[]>): Block {
  const heads = (words[kind] ?? []).map(item);
  return { id: freshId('b'), kind, text: '', settings: { ...bare, heads }, variants: [] };
}
export const newPage = (): Page => ({ id: freshId('p'), title: '', blocks: [] });

/** The block as it is in a variant. */
export function inVariant(block: Block, variant: string): Block {
  const other = block.variants.find((one) => one.variant === variant);
  if (other === undefined) return block;
  return {
    ...block,
    text: other.text,
    settings: other.passage === '' ? block.settings : { ...block.settings, passage: other.passage },
  };
}
