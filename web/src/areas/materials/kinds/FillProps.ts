// What a component gets that fills a slot or shows it.
import type { Block } from '../blocks';

export interface FillProps {
  block: Block;
  value: string;
  /** Null: it is only shown. */
  onChange: ((value: string) => void) | null;
  /** What others chose, where everybody chooses and it is shown: names by what they hold. */
  others?: { name: string; value: string }[];
}
