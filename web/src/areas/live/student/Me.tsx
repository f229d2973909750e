import { useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { student as words } from '../../../words/student';

type Now = Schema['StudentNow'];

/** Whose page it is, and the way to give it up. */
export function Me({ now, onLeft }: { now: Now; onLeft: () => void }) {
  const [asking, setAsking] = useState(false);
  const leave = () => void take(api.POST('/api/student/leave')).then(onLeft, () => setAsking(false));
  return (
    <header className="border-b border-line pb-2 text-sm text-soft">
      {asking ? (
        <div role="alertdialog" aria-label={words.now.leaveAsk} className="flex flex-wrap items-center gap-2 text-ink">
          <p className="w-full font-semibold">{words.now.leaveAsk}</p>
          <Button onClick={() => setAsking(false)}>{words.now.stay}</Button>
          <Button look="quiet" onClick={leave}>
            {words.now.leave}
          </Button>
        </div>
      ) : (
        <div className="flex items-center justify-between gap-3">
          <span className="min-w-0 truncate">{words.now.me(now.name, now.className)}</span>
          <Button look="quiet" className="whitespace-nowrap" onClick={() => setAsking(true)}>
            {words.now.notMe}
          </Button>
        </div>
      )}
    </header>
  );
}
