// Tells a student that they have another seat, and what they had written before.
import { useState } from 'react';
import { keptTexts } from '../../materials/student/kept';
import type { Schema, Whole } from '../../../api/client';

type Group = Schema['MyGroup'];
type Copy = Whole<Schema['CopyView']>;

export interface Moved {
  to: string;
  /** What the student had written themselves where they were before. */
  texts: string[];
}

interface Before {
  group: string;
  copies: Copy[];
}

/**
 * A student who is given another seat while their sheet is open is told so before anything else is shown: whose sheet
 * that was, and what they had written on it.
 */
export function useMoved(group: Group | null, copies: Copy[], me: string, sheetOpen: boolean) {
  const [before, setBefore] = useState<Before | null>(null);
  const [moved, setMoved] = useState<Moved | null>(null);
  const own = copies.filter((copy) => group?.copies.some((one) => one.id === copy.id));
  const here = group === null ? null : { group: group.id, copies: own };
  if (here !== null && before?.group !== here.group) {
    if (before !== null && sheetOpen) {
      setMoved({ to: here.group, texts: before.copies.flatMap((copy) => keptTexts(copy, me)) });
    }
    setBefore(here);
  } else if (here !== null && own.length > 0 && own.some((copy, i) => copy !== before?.copies[i])) {
    setBefore(here);
  }
  return { moved: moved?.to === group?.id ? moved : null, read: () => setMoved(null) };
}
