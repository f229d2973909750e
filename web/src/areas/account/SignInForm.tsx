// Where a teacher signs in.
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/fields/Field';
import { Wordmark } from '../../ui/page/Wordmark';
import * as m from '#messages';

export interface Typed {
  email: string;
  password: string;
}

/** For whoever has forgotten the password, and for students who are at the wrong door. */
function OtherWays() {
  return (
    <>
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
    </>
  );
}

/**
 * Without `onSubmit` it can be filled in but not sent: that is how it stands in the page before the scripts are loaded.
 */
export function SignInForm({
  typed = { email: '', password: '' },
  busy = false,
  problem,
  onSubmit,
}: {
  typed?: Typed;
  busy?: boolean;
  problem?: string | undefined;
  onSubmit?: (email: string, password: string) => void;
}) {
  const [email, setEmail] = useState(typed.email);
  const [password, setPassword] = useState(typed.password);
  return (
    <main className="floor-paper flex min-h-screen items-center justify-center p-6">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          onSubmit?.(email, password);
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
          error={problem}
        />
        <Button look="main" type="submit" className="mt-6 w-full" busy={busy} disabled={onSubmit === undefined}>
          {m.account_signIn()}
        </Button>
        <OtherWays />
      </form>
    </main>
  );
}
