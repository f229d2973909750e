import { useState } from 'react';
import { api, take } from '../../../api/client';
import { Button } from '../../../ui/Button';
import * as m from '#messages';

/** Another device asks to be this student: the older one says whether it is theirs. */
export default function OtherDevice({ guest, onDone }: { guest: string; onDone: () => void }) {
  const [busy, setBusy] = useState(false);
  const say = (mine: boolean) => () => {
    setBusy(true);
    void take(api.POST('/api/student/other-device', { body: { guest, mine } }))
      .catch(() => undefined)
      .finally(() => {
        setBusy(false);
        onDone();
      });
  };
  return (
    <div role="alertdialog" aria-label={m.student_other_ask()} className="mb-5 border-4 border-ink bg-sheet p-4">
      <p className="text-lg font-semibold">{m.student_other_ask()}</p>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button busy={busy} onClick={say(true)}>
          {m.student_other_mine()}
        </Button>
        <Button busy={busy} onClick={say(false)}>
          {m.student_other_not()}
        </Button>
      </div>
    </div>
  );
}
