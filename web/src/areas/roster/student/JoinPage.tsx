import { Suspense, useEffect, useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { isProblem, problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Field } from '../../../ui/Field';
import { lazily } from '../../../ui/lazily';
import * as m from '#messages';
import { AtTheDoor, TypeDoorWord } from './AtTheDoor';

/** Only where the teacher has chosen so. */
const Waiting = lazily(() => import('./Waiting'));
const PressName = lazily(() => import('./PressName'));

type Door = Schema['ClassDoor'];
type Join = Schema['JoinClass'];

const busyRetry = 1_200;
/** What a slip or a code has put into the address. */
const asked = (what: string) => new URLSearchParams(window.location.search).get(what);

/** Where many come in at once it asks again by itself. */
async function patiently<T>(ask: () => Promise<T>, onBusy: () => void): Promise<T> {
  for (;;) {
    try {
      return await ask();
    } catch (problem) {
      if (!isProblem(problem, 429) || problem.errors.length > 0) throw problem;
      onBusy();
      await new Promise((done) => setTimeout(done, busyRetry + Math.random() * busyRetry));
    }
  }
}

function TypeName({
  door,
  busy,
  error,
  canWait,
  onName,
  onOther,
}: {
  door: Door;
  busy: boolean;
  error: string | undefined;
  canWait: boolean;
  onName: (name: string, wait: boolean) => void;
  onOther: () => void;
}) {
  const [name, setName] = useState('');
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() !== '') onName(name, false);
      }}
    >
      <h1 className="text-3xl font-semibold wrap-anywhere">{m.student_join_who({ className: door.className })}</h1>
      <Field
        className="mt-6 [&_input]:text-2xl"
        label={m.student_join_name()}
        hint={m.student_join_nameHint()}
        value={name}
        error={error}
        maxLength={120}
        autoComplete="off"
        autoCapitalize="words"
        spellCheck={false}
        onChange={(event) => setName(event.target.value)}
      />
      <Button look="main" type="submit" className="mt-6 w-full py-4 text-xl" busy={busy}>
        {m.student_join_enter()}
      </Button>
      {canWait && (
        <Button className="mt-4 w-full py-3 text-lg" busy={busy} onClick={() => onName(name, true)}>
          {m.student_join_wait()}
        </Button>
      )}
      <Button look="quiet" className="mt-6" onClick={onOther}>
        {m.student_join_other()}
      </Button>
    </form>
  );
}

/**
 * The students' door: the door word, then one's own name.
 *
 * @param typed what was typed at the door before our scripts were here
 */
export function JoinPage({ onJoined, typed = '' }: { onJoined: () => void; typed?: string }) {
  const [doorWord, setDoorWord] = useState(() => asked('door') ?? typed);
  const [door, setDoor] = useState<Door | null>(null);
  const [state, setState] = useState<Schema['DoorState']>('outside');
  const [busy, setBusy] = useState(() => asked('door') !== null || asked('pass') !== null);
  const [error, setError] = useState<string>();
  const [canWait, setCanWait] = useState(false);
  /** Why this device is out that was in. */
  const [ended, setEnded] = useState<string>();
  const many = () => setError(m.student_join_many());
  const ask = (typed: string) => {
    const path = { params: { path: { doorWord: typed.trim() } } };
    patiently(() => take(api.GET('/api/student/classes/{doorWord}', path)), many)
      .then(
        (found) => {
          setDoor(found);
          setError(undefined);
        },
        (problem: unknown) => setError(problemText(problem)),
      )
      .finally(() => setBusy(false));
  };
  const knock = () => {
    if (doorWord.trim() === '') return;
    setBusy(true);
    ask(doorWord);
  };
  const join = (who: Pick<Join, 'name' | 'student' | 'pass' | 'wait'>) => {
    const body = { doorWord: doorWord.trim(), ...who };
    patiently(() => take(api.POST('/api/student/join', { body })), many)
      .then(
        (at) => {
          if (who.pass !== undefined) window.history.replaceState(null, '', '/student'); // in nobody’s history
          if (at.state === 'in') onJoined();
          else setState(at.state);
        },
        (problem: unknown) => {
          setError(problemText(problem));
          setCanWait(isProblem(problem, 404) || isProblem(problem, 409) || isProblem(problem, 422));
          if (isProblem(problem) && problem.field('doorWord') !== undefined) setDoor(null);
          else if (isProblem(problem, 409)) ask(doorWord);
        },
      )
      .finally(() => setBusy(false));
  };
  const come = (who: Pick<Join, 'name' | 'student' | 'wait'>) => {
    setBusy(true);
    setError(undefined);
    join(who);
  };
  useEffect(() => {
    // A device that waits in the doorway goes on waiting after a reload; a door word in the address opens the door at
    // once.
    take(api.GET('/api/student/door')).then(
      (at) => {
        setState(at.state);
        if (at.ended != null)
          setEnded(
            (at.ended === 'freed' ? m.student_join_endedFreed : m.student_join_endedOther)({ name: at.name ?? '' }),
          );
      },
      () => undefined,
    );
    const pass = asked('pass');
    if (pass !== null) join({ pass });
    else if (busy) ask(doorWord);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only when the page comes up
  }, []);
  const other = () => {
    setDoor(null);
    setError(undefined);
    setCanWait(false);
  };
  return (
    <AtTheDoor>
      {ended !== undefined && state === 'outside' && (
        <p role="status" className="mb-6 border-s-8 border-ink ps-3 text-lg wrap-anywhere">
          {ended}
        </p>
      )}
      {state !== 'outside' ? (
        <Suspense>
          <Waiting state={state} onState={setState} onIn={onJoined} />
        </Suspense>
      ) : door === null ? (
        <TypeDoorWord doorWord={doorWord} busy={busy} error={error} onDoorWord={setDoorWord} onKnock={knock} />
      ) : door.names !== null ? (
        <Suspense>
          <PressName
            door={door}
            names={door.names}
            busy={busy}
            error={error}
            onName={(student) => come({ student })}
            onTyped={() => setDoor({ ...door, names: null })}
            onOther={other}
          />
        </Suspense>
      ) : (
        <TypeName
          door={door}
          busy={busy}
          error={error}
          canWait={canWait}
          onName={(name, wait) => come({ name, wait })}
          onOther={other}
        />
      )}
    </AtTheDoor>
  );
}
