// A slot of a copy, for a component that fills it.
import { useEffect, useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { slotDrawer } from './kept';
import { SlotSync } from './slotSync';

export interface SlotOf {
  copyId: string;
  slot: string;
  /** The student whose answer it is; the copy's id for an answer of all. */
  owner: string;
  answer: Schema['AnswerView'] | undefined;
}

/** A slot of a copy, kept in step with the server. */
export function useSlot({ copyId, slot, owner, answer }: SlotOf): SlotSync {
  const [, redraw] = useState(0);
  const text = answer?.text ?? '';
  const revision = answer?.revision ?? 0;
  const [sync] = useState(
    () =>
      new SlotSync(
        { text, revision },
        (save) =>
          take(
            api.PUT('/api/student/copies/{id}/slots/{slot}', { params: { path: { id: copyId, slot } }, body: save }),
          ),
        slotDrawer(copyId, slot, owner),
        () => redraw((n) => n + 1),
      ),
  );
  useEffect(() => sync.receive({ text, revision }), [sync, text, revision]);
  useEffect(() => {
    const online = () => sync.retryNow();
    window.addEventListener('online', online);
    window.addEventListener('pagehide', online);
    return () => {
      window.removeEventListener('online', online);
      window.removeEventListener('pagehide', online);
    };
  }, [sync]);
  return sync;
}
