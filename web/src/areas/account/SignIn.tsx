import { useState } from 'react';
import type { Schema } from '../../api/client';
import type { ApiProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Wordmark } from '../../ui/Wordmark';
import * as m from '#messages';
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
        <h1 className="sr-only">{m.account_title()}</h1>
        <Wordmark large />
        <p className="mt-3 mb-6 text-soft">{m.account_lead()}</p>
        <Field
          label={m.account_email()}
          type="email"
          autoComplete="username"
          required
          value={email}
          onChange={(e) => setEmail(e.target.value)}
        />
        <Field
          className="mt-4"
          label={m.account_password()}
          type="password"
          autoComplete="current-password"
          required
          value={password}
          onChange={(e) => setPassword(e.target.value)}
          error={problem?.message}
        />
        <Button look="main" type="submit" className="mt-6 w-full" busy={busy}>
          {m.account_signIn()}
        </Button>
        <p className="mt-4 text-sm">
          <a className="underline" href="/forgotten">
            {m.account_forgotten()}
          </a>
        </p>
        <p className="mt-4 text-sm text-soft">
          {m.account_studentDoor()}{' '}
          <a className="text-ink underline" href="/student">
            /student
          </a>
        </p>
      </form>
    </main>
  );
}
