import { drawer } from '../../ui/drawer';
import type { Original, Page, Variant } from './blocks';

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
  basedOn: number;
}

const place = (id: string) => drawer(`original.${id}`);

export function keepDraft(id: string, draft: Draft, basedOn: number): void {
  place(id).save(JSON.stringify({ draft, basedOn } satisfies Kept));
}

export function forgetDraft(id: string): void {
  place(id).clear();
}

export function keptDraft(id: string): Kept | null {
  try {
    return JSON.parse(place(id).load() ?? 'null') as Kept | null;
  } catch {
    return null;
  }
}
