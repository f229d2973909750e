// What pages must know of each kind of block.
import type { Block, BlockKind } from '../blocks';

interface Rule {
  /** Something is to be filled in there; else there is only something to read. */
  isSlot: boolean;
  /** Whether everybody has an answer of their own, or the group has one. */
  isAlone?: (settings: Block['settings']) => boolean;
  /** A text is written there, by several at once. */
  isText?: boolean;
  /** What it holds is no text to write in, but reads as one. */
  isLine?: boolean;
}

const always = () => true;
const toRead: Rule = { isSlot: false };
const ofGroup: Rule = { isSlot: true };

/**
 * In the order in which they are offered. What is known of a kind before the server is asked; both are held to
 * core/tests/Materials/Slot/kinds.json.
 */
const rules: Record<BlockKind, Rule> = {
  text: toRead,
  link: toRead,
  picture: toRead,
  spokenNote: toRead,
  each: { isSlot: true, isAlone: always, isText: true },
  together: { isSlot: true, isText: true },
  number: { isSlot: true, isAlone: always, isLine: true },
  sort: ofGroup,
  ticks: { isSlot: true, isAlone: (settings) => settings.alone },
  table: ofGroup,
  markUp: ofGroup,
  mend: ofGroup,
  choose: { isSlot: true, isAlone: always },
  ownPictures: ofGroup,
};

export const kinds = Object.keys(rules) as BlockKind[];
export const isSlot = (block: Block): boolean => rules[block.kind].isSlot;
export const isAlone = (block: Block): boolean => rules[block.kind].isAlone?.(block.settings) ?? false;
export const isText = (block: Block): boolean => rules[block.kind].isText ?? false;
/** Whether an answer can be shown as it is kept. */
export const readsAsText = (block: Block): boolean => isText(block) || (rules[block.kind].isLine ?? false);
