// A student in a muted main session: asks to speak, and is given the microphone.
import { useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import * as m from '#messages';

/** Instead of the button that unmutes. */
export function AskToSpeak({ speaking }: { speaking: Schema['MySpeaking'] }) {
  const [busy, setBusy] = useState(false);
  const ask = (asks: boolean) => {
    setBusy(true);
    void take(api.PUT('/api/student/speaking', { body: { asks } }))
      .catch(() => undefined)
      .finally(() => setBusy(false));
  };
  return (
    <>
      <p role="status" className="basis-full">
        {m.room_mutedByTeacher()} {speaking.asked && m.room_asked()}
      </p>
      <Button className="grow px-4 py-3 font-semibold" busy={busy} onClick={() => ask(!speaking.asked)}>
        {speaking.asked ? m.room_takeBack() : m.room_askToSpeak()}
      </Button>
    </>
  );
}
