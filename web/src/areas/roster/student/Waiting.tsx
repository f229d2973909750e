// The page of a student who waits at the door.
import { useEffect, useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import * as m from '#messages';

const askEvery = 2_500;

/** In the doorway: the teacher says who it is. */
export default function Waiting({
  state,
  onState,
  onIn,
}: {
  state: Schema['DoorState'];
  onState: (state: Schema['DoorState']) => void;
  onIn: () => void;
}) {
  /** Whose name another device has. */
  const [taken, setTaken] = useState<string | null>(null);
  useEffect(() => {
    if (state === 'in') onIn();
    const look = () =>
      void take(api.GET('/api/student/door')).then(
        (at) => {
          setTaken(at.taken === true ? (at.name ?? '') : null);
          if (at.state === 'in') onIn();
          else onState(at.state);
        },
        () => undefined,
      );
    look();
    const ask = setInterval(look, askEvery);
    return () => clearInterval(ask);
  }, [state, onState, onIn]);
  return (
    <>
      <div role="status">
        <h1 className="text-4xl leading-tight font-bold text-balance">
          {state === 'notNow' ? m.student_join_notNow() : m.student_join_waiting()}
        </h1>
      </div>
      {taken !== null && (
        <p className="mt-4 text-lg font-semibold wrap-anywhere">{m.student_join_isTaken({ name: taken })}</p>
      )}
      <p className="mt-4 text-lg">{m.student_join_waitingHint()}</p>
      <Button look="quiet" className="mt-8" onClick={() => onState('outside')}>
        {m.student_join_again()}
      </Button>
    </>
  );
}
