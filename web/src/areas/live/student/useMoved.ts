import { useState } from 'react';
import { keptTexts } from '../../materials/student/kept';
import type { Schema } from '../../../api/client';

type Group = Schema['MyGroup'];
type Copy = Schema['CopyView'];

export interface Moved {
  to: string;
  /** What the student had written themselves where they were before. */
  texts: string[];
}

interface Before {
  group: string;
  copy: Copy | null;
}

/**
 * A student who is given another seat while their sheet is open is told so before anything else is shown: whose sheet that
 * was, and what they had written on it.
 */
export function useMoved(group: Group | null, copy: Copy | null, me: string, sheetOpen: boolean) {
  const [before, setBefore] = useState<Before | null>(null);
  const [moved, setMoved] = useState<Moved | null>(null);
  const here = group === null ? null : { group: group.id, copy: copy?.id === group.copy ? copy : null };
  if (here !== null && before?.group !== here.group) {
    if (before !== null && sheetOpen) {
      setMoved({ to: here.group, texts: before.copy === null ? [] : keptTexts(before.copy, me) });
    }
    setBefore(here);
  } else if (here?.copy != null && here.copy !== before?.copy) {
    setBefore(here);
  }
  return { moved: moved?.to === group?.id ? moved : null, read: () => setMoved(null) };
}
