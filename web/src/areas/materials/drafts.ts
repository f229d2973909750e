import { drawer } from '../../ui/drawer';
import type { Schema } from '../../api/client';

export interface Draft {
  title: string;
  blocks: Schema['BlockView'][];
}

/** A draft of an original that has not been saved yet, kept on this device. */
interface Kept {
  draft: Draft;
  basedOn: number;
}

const place = (roundId: string) => drawer(`original:${roundId}`);

export function keepDraft(roundId: string, draft: Draft, basedOn: number): void {
  place(roundId).save(JSON.stringify({ draft, basedOn } satisfies Kept));
}

export function forgetDraft(roundId: string): void {
  place(roundId).clear();
}

export function keptDraft(roundId: string): Kept | null {
  try {
    return JSON.parse(place(roundId).load() ?? 'null') as Kept | null;
  } catch {
    return null;
  }
}
