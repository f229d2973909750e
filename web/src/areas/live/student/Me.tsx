// Whose page it is, and the way to give it up.
import { useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import * as m from '#messages';

type Now = Schema['StudentNow'];

/** Whose page it is, and the way to give it up. */
export function Me({ now, onLeft }: { now: Now; onLeft: () => void }) {
  const [asking, setAsking] = useState(false);
  const leave = () => void take(api.POST('/api/student/leave')).then(onLeft, () => setAsking(false));
  return (
    <header className="border-b border-line pb-2 text-sm text-soft">
      {asking ? (
        <div
          role="alertdialog"
          aria-label={m.student_now_leaveAsk()}
          className="flex flex-wrap items-center gap-2 text-ink"
        >
          <p className="w-full font-semibold">{m.student_now_leaveAsk()}</p>
          <Button onClick={() => setAsking(false)}>{m.student_now_stay()}</Button>
          <Button look="quiet" onClick={leave}>
            {m.student_now_leave()}
          </Button>
        </div>
      ) : (
        <div className="flex items-center justify-between gap-3">
          <span className="min-w-0 truncate">{m.student_now_me({ name: now.name, className: now.className })}</span>
          <Button look="quiet" className="whitespace-nowrap" onClick={() => setAsking(true)}>
            {m.student_now_notMe()}
          </Button>
        </div>
      )}
    </header>
  );
}
