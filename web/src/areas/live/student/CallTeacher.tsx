// What lies on the table, and the way to call the teacher.
import { useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import * as m from '#messages';

const abouts: Schema['CallAbout'][] = ['question', 'stuck', 'look', 'trouble', 'done'];

/**
 * What the teacher has put on the table, and the way to call them; who calls sees that it is known, and their place.
 */
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
    <section aria-label={m.student_call_call()} className="flex flex-col gap-2">
      {signal.mark != null && (
        <p role="status" className="border-2 border-dashed border-ink px-3 py-2 text-lg font-semibold">
          {m.student_call_marks({ key: signal.mark })}
        </p>
      )}
      {signal.about != null ? (
        <>
          <p role="status" className="text-lg">
            {signal.seen ? m.student_call_seen() : m.student_call_waiting()}{' '}
            {(signal.place ?? 1) <= 1 ? m.student_call_next() : m.student_call_place({ n: (signal.place ?? 1) - 1 })}
          </p>
          <Button busy={busy} onClick={() => call(null)}>
            {m.student_call_takeBack()}
          </Button>
        </>
      ) : choosing ? (
        <>
          <p className="font-semibold">{m.student_call_what()}</p>
          <div className="grid grid-cols-2 gap-2">
            {abouts.map((about) => (
              <Button key={about} className="py-3" busy={busy} onClick={() => call(about)}>
                {m.student_call_about({ key: about })}
              </Button>
            ))}
            <Button look="quiet" onClick={() => setChoosing(false)}>
              {m.student_call_not()}
            </Button>
          </div>
        </>
      ) : (
        !signal.visited && (
          <Button className="w-full py-3 text-lg" onClick={() => setChoosing(true)}>
            {m.student_call_call()}
          </Button>
        )
      )}
    </section>
  );
}
