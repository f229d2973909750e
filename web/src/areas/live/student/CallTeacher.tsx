import { useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { student as words } from '../../../words/student';

const abouts = Object.keys(words.call.about) as Schema['CallAbout'][];

/** What the teacher has put on the table, and the way to call them; who calls sees that it is known, and their place. */
export function CallTeacher({ signal, onLook }: { signal: Schema['MySignal']; onLook: () => void }) {
  const [choosing, setChoosing] = useState(false);
  const [busy, setBusy] = useState(false);
  const call = (about: Schema['CallAbout'] | null) => {
    setBusy(true);
    void take(api.PUT('/api/student/call', { body: { about } }))
      .then(onLook, () => undefined)
      .finally(() => {
        setBusy(false);
        setChoosing(false);
      });
  };
  return (
    <section aria-label={words.call.call} className="flex flex-col gap-2">
      {signal.mark != null && (
        <p role="status" className="border-2 border-dashed border-ink px-3 py-2 text-lg font-semibold">
          {words.call.marks[signal.mark]}
        </p>
      )}
      {signal.about != null ? (
        <>
          <p role="status" className="text-lg">
            {signal.seen ? words.call.seen : words.call.waiting} {words.call.place(signal.place ?? 1)}
          </p>
          <Button busy={busy} onClick={() => call(null)}>
            {words.call.takeBack}
          </Button>
        </>
      ) : choosing ? (
        <>
          <p className="font-semibold">{words.call.what}</p>
          <div className="grid grid-cols-2 gap-2">
            {abouts.map((about) => (
              <Button key={about} className="py-3" busy={busy} onClick={() => call(about)}>
                {words.call.about[about]}
              </Button>
            ))}
            <Button look="quiet" onClick={() => setChoosing(false)}>
              {words.call.not}
            </Button>
          </div>
        </>
      ) : (
        !signal.visited && (
          <Button className="w-full py-3 text-lg" onClick={() => setChoosing(true)}>
            {words.call.call}
          </Button>
        )
      )}
    </section>
  );
}
