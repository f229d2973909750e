// The sign-in, before anything else is loaded.
import { useState } from 'react';
import type { Schema } from '../../api/client';
import type { ApiProblem } from '../../api/problem';
import { signIn } from './session';
import { SignInForm, type Typed } from './SignInForm';

export function SignIn({ onSignedIn, typed }: { onSignedIn: (teacher: Schema['Me']) => void; typed?: Typed }) {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<ApiProblem>();
  return (
    <SignInForm
      {...(typed === undefined ? {} : { typed })}
      busy={busy}
      problem={problem?.message}
      onSubmit={(email, password) => {
        setBusy(true);
        signIn(email, password)
          .then(onSignedIn, (error: unknown) => setProblem(error as ApiProblem))
          .finally(() => setBusy(false));
      }}
    />
  );
}
