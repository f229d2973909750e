// Drafts of originals, kept on this device until they are saved.
import { drawer, keys } from '../../../ui/drawer';
import type { Original, Page, Variant } from '../blocks';

export interface Draft {
  title: string;
  subject: string;
  year: string;
  about: string;
  pages: Page[];
  variants: Variant[];
}

export const draftOf = ({ title, subject, year, about, pages, variants }: Original): Draft => ({
  title,
  subject,
  year,
  about,
  pages,
  variants,
});

/** A draft of an original that has not been saved yet, kept on this device. */
interface Kept {
  draft: Draft;
  /** What it was begun from. */
  base: Draft;
  basedOn: number;
  /** When it was kept; 0: its window has gone. */
  at: number;
}

/** Each window keeps its own, so that none clears what another has not saved. */
const here = crypto.randomUUID();
const mine = new Set<string>();
const name = (id: string) => `original.${id}.`;
const place = (id: string) => drawer(name(id) + here);
/** A window that has kept nothing for so long does not write any more: its draft goes on in the next. */
const silentAfter = 20_000;

function read(text: string | null): Kept | null {
  try {
    return JSON.parse(text ?? 'null') as Kept | null;
  } catch {
    return null;
  }
}

addEventListener('pagehide', () => {
  for (const id of mine) {
    const kept = read(place(id).load());
    if (kept !== null) place(id).save(JSON.stringify({ ...kept, at: 0 } satisfies Kept));
  }
});

export function keepDraft(id: string, draft: Draft, base: Draft, basedOn: number): void {
  mine.add(id);
  place(id).save(JSON.stringify({ draft, base, basedOn, at: Date.now() } satisfies Kept));
}

export function forgetDraft(id: string): void {
  mine.delete(id);
  place(id).clear();
}

/** A draft that was left behind, by this window or by one that is gone; it is this window's from now on. */
export function keptDraft(id: string): Kept | null {
  const own = read(place(id).load());
  if (own !== null) return own;
  const left = keys(name(id))
    .map((key) => ({ key, kept: read(drawer(key).load()) }))
    .filter(({ kept }) => kept !== null && Date.now() - kept.at > silentAfter);
  const found = left[0];
  if (found?.kept == null) return null;
  drawer(found.key).clear();
  keepDraft(id, found.kept.draft, found.kept.base, found.kept.basedOn);
  return found.kept;
}
