import { useState } from 'react';
import type { Schema } from '../../api/client';
import type { ApiProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Wordmark } from '../../ui/Wordmark';
import { words } from '../../words';
import { signIn } from './session';

export function SignIn({ onSignedIn }: { onSignedIn: (teacher: Schema['Me']) => void }) {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<ApiProblem>();
  const submit = () => {
    setBusy(true);
    signIn(email, password)
      .then(onSignedIn, (error: unknown) => setProblem(error as ApiProblem))
      .finally(() => setBusy(false));
  };
  return (
    <main className="floor-paper flex min-h-screen items-center justify-center p-6">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
        className="w-full max-w-sm border-2 border-ink bg-sheet p-8 shadow-[6px_6px_0_var(--ink)]"
      >
        <h1 className="sr-only">{words.account.title}</h1>
        <Wordmark large />
        <p className="mt-3 mb-6 text-soft">{words.account.lead}</p>
        <Field
          label={words.account.email}
          type="email"
          autoComplete="username"
          required
          value={email}
          onChange={(e) => setEmail(e.target.value)}
        />
        <Field
          className="mt-4"
          label={words.account.password}
          type="password"
          autoComplete="current-password"
          required
          value={password}
          onChange={(e) => setPassword(e.target.value)}
          error={problem?.message}
        />
        <Button look="main" type="submit" className="mt-6 w-full" busy={busy}>
          {words.account.signIn}
        </Button>
        <p className="mt-4 text-sm">
          <a className="underline" href="/forgotten">
            {words.account.forgotten}
          </a>
        </p>
        <p className="mt-4 text-sm text-soft">
          {words.account.studentDoor}{' '}
          <a className="text-ink underline" href="/student">
            /student
          </a>
        </p>
      </form>
    </main>
  );
}
