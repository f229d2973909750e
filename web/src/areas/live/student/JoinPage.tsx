import { useEffect, useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { isProblem, problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Field } from '../../../ui/Field';
import { Wordmark } from '../../../ui/Wordmark';
import { student as words } from '../../../words/student';

type Door = Schema['ClassDoor'];

const fold = (text: string) => text.normalize('NFKD').replace(/\p{M}/gu, '').toLocaleLowerCase();
const searchAbove = 12;

function ChooseName({
  code,
  door,
  onChosen,
  onOther,
  onStale,
}: {
  code: string;
  door: Door;
  onChosen: () => void;
  onOther: () => void;
  onStale: () => void;
}) {
  const [find, setFind] = useState('');
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string>();
  const shown = door.names.filter((name) => fold(name.name).includes(fold(find)));
  const choose = (student: string) => {
    setBusy(true);
    take(api.POST('/api/student/join', { body: { code, student } }))
      .then(onChosen, (problem: unknown) => {
        setError(problemText(problem));
        if (isProblem(problem, 409)) onStale();
      })
      .finally(() => setBusy(false));
  };
  return (
    <>
      <h1 className="text-3xl font-semibold wrap-anywhere">{words.join.who(door.className)}</h1>
      {door.names.length > searchAbove && (
        <Field
          className="mt-4"
          label={words.join.find}
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
      )}
      {error !== undefined && (
        <p role="alert" className="mt-3 border-2 border-lost bg-lost-wash p-3 font-semibold">
          {error}
        </p>
      )}
      {shown.length === 0 && <p className="mt-6">{door.names.length === 0 ? words.join.empty : words.join.none}</p>}
      <ul className="mt-4 space-y-2">
        {shown.map((name) => (
          <li key={name.id}>
            <button
              type="button"
              disabled={busy || name.taken}
              onClick={() => choose(name.id)}
              className="flex w-full items-center justify-between gap-3 border-2 border-ink bg-sheet px-4 py-3 text-left text-lg active:bg-accent active:text-on-accent disabled:border-line disabled:text-soft"
            >
              <span className="min-w-0 wrap-anywhere">{name.name}</span>
              {name.taken && <span className="text-sm">{words.join.taken}</span>}
            </button>
          </li>
        ))}
      </ul>
      <Button look="quiet" className="mt-6" onClick={onOther}>
        {words.join.other}
      </Button>
    </>
  );
}

/** The students' door: the class code, then one's own name. */
export function JoinPage({ onJoined }: { onJoined: () => void }) {
  const [code, setCode] = useState(() => new URLSearchParams(window.location.search).get('code') ?? '');
  const [door, setDoor] = useState<Door | null>(null);
  const [busy, setBusy] = useState(code !== '');
  const [error, setError] = useState<string>();
  const ask = (typed: string) => {
    take(api.GET('/api/student/classes/{code}', { params: { path: { code: typed.trim() } } }))
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
    if (code.trim() === '') return;
    setBusy(true);
    ask(code);
  };
  useEffect(() => {
    if (code !== '') ask(code);
    // A code in the address opens the door at once; later changes are the person's own.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return (
    <main className="mx-auto min-h-screen w-full max-w-md p-5">
      <p className="mb-8">
        <Wordmark />
      </p>
      {door === null ? (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            knock();
          }}
        >
          <h1 className="text-4xl font-semibold">{words.join.title}</h1>
          <Field
            className="mt-6 [&_input]:text-center [&_input]:font-head [&_input]:text-3xl [&_input]:tracking-[0.25em] [&_input]:uppercase"
            label={words.join.code}
            hint={words.join.codeHint}
            value={code}
            error={error}
            maxLength={12}
            autoCapitalize="characters"
            autoComplete="off"
            spellCheck={false}
            onChange={(event) => setCode(event.target.value)}
          />
          <Button look="main" type="submit" className="mt-6 w-full py-4 text-xl" busy={busy}>
            {words.join.go}
          </Button>
        </form>
      ) : (
        <ChooseName code={code.trim()} door={door} onChosen={onJoined} onOther={() => setDoor(null)} onStale={knock} />
      )}
    </main>
  );
}
