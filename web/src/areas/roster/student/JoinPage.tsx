// The students' door.
import { Suspense, useEffect, useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { isProblem, problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Field } from '../../../ui/fields/Field';
import { lazily } from '../../../ui/later/lazily';
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

type Who = Pick<Join, 'name' | 'student' | 'pass' | 'wait'>;

const classBehind = (doorWord: string) =>
  take(api.GET('/api/student/classes/{doorWord}', { params: { path: { doorWord: doorWord.trim() } } }));
const joinAs = (doorWord: string, who: Who) =>
  take(api.POST('/api/student/join', { body: { doorWord: doorWord.trim(), ...who } }));

/** Where this device stands at the door, and what it asks of it. */
function useDoorway(onJoined: () => void, typed: string) {
  const [doorWord, setDoorWord] = useState(() => asked('door') ?? typed);
  const [door, setDoor] = useState<Door | null>(null);
  const [state, setState] = useState<Schema['DoorState']>('outside');
  const [busy, setBusy] = useState(() => asked('door') !== null || asked('pass') !== null);
  const [error, setError] = useState<string>();
  const [canWait, setCanWait] = useState(false);
  const many = () => setError(m.student_join_many());
  const ask = () => {
    patiently(() => classBehind(doorWord), many)
      .then(
        (found) => {
          setDoor(found);
          setError(undefined);
        },
        (problem: unknown) => setError(problemText(problem)),
      )
      .finally(() => setBusy(false));
  };
  const refused = (problem: unknown) => {
    setError(problemText(problem));
    setCanWait(isProblem(problem, 404) || isProblem(problem, 409) || isProblem(problem, 422));
    if (isProblem(problem) && problem.field('doorWord') !== undefined) setDoor(null);
    else if (isProblem(problem, 409)) ask();
  };
  const join = (who: Who) => {
    patiently(() => joinAs(doorWord, who), many)
      .then((at) => {
        if (who.pass !== undefined) window.history.replaceState(null, '', '/student'); // in nobody’s history
        if (at.state === 'in') onJoined();
        else setState(at.state);
      }, refused)
      .finally(() => setBusy(false));
  };
  const shown = { doorWord, setDoorWord, door, setDoor, state, setState, busy, error, canWait };
  return {
    ...shown,
    join,
    ask,
    knock: () => {
      if (doorWord.trim() === '') return;
      setBusy(true);
      ask();
    },
    come: (who: Who) => {
      setBusy(true);
      setError(undefined);
      join(who);
    },
    goElsewhere: () => {
      setDoor(null);
      setError(undefined);
      setCanWait(false);
    },
  };
}

type Doorway = ReturnType<typeof useDoorway>;

/**
 * A device that waits in the doorway goes on waiting after a reload; a door word in the address opens the door at once.
 *
 * @returns why this device is out that was in
 */
function useArrival({ busy, join, ask, setState }: Doorway): string | undefined {
  const [ended, setEnded] = useState<string>();
  useEffect(() => {
    take(api.GET('/api/student/door')).then(
      (at) => {
        setState(at.state);
        if (at.ended == null) return;
        const text = at.ended === 'freed' ? m.student_join_endedFreed : m.student_join_endedOther;
        setEnded(text({ name: at.name ?? '' }));
      },
      () => undefined,
    );
    const pass = asked('pass');
    if (pass !== null) join({ pass });
    else if (busy) ask();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only when the page comes up
  }, []);
  return ended;
}

/** What is to be done at the door: type its word, then press or type one's name, or wait. */
function Step({ at, onJoined }: { at: Doorway; onJoined: () => void }) {
  const { doorWord, door, busy, error } = at;
  if (at.state !== 'outside') {
    return (
      <Suspense>
        <Waiting state={at.state} onState={at.setState} onIn={onJoined} />
      </Suspense>
    );
  }
  if (door === null) {
    return (
      <TypeDoorWord doorWord={doorWord} busy={busy} error={error} onDoorWord={at.setDoorWord} onKnock={at.knock} />
    );
  }
  if (door.names !== null) {
    return (
      <Suspense>
        <PressName
          door={door}
          names={door.names}
          busy={busy}
          error={error}
          onName={(student) => at.come({ student })}
          onTyped={() => at.setDoor({ ...door, names: null })}
          onOther={at.goElsewhere}
        />
      </Suspense>
    );
  }
  return (
    <TypeName
      door={door}
      busy={busy}
      error={error}
      canWait={at.canWait}
      onName={(name, wait) => at.come({ name, wait })}
      onOther={at.goElsewhere}
    />
  );
}

/**
 * The students' door: the door word, then one's own name.
 *
 * @param props.typed what was typed at the door before our scripts were here
 */
export function JoinPage({ onJoined, typed = '' }: { onJoined: () => void; typed?: string }) {
  const at = useDoorway(onJoined, typed);
  const ended = useArrival(at);
  return (
    <AtTheDoor>
      {ended !== undefined && at.state === 'outside' && (
        <p role="status" className="mb-6 border-s-8 border-ink ps-3 text-lg wrap-anywhere">
          {ended}
        </p>
      )}
      <Step at={at} onJoined={onJoined} />
    </AtTheDoor>
  );
}
