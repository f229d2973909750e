import { useState, type ReactNode, type SyntheticEvent } from 'react';
import { useParams } from 'react-router';
import { api, take } from '../../api/client';
import { isProblem, type ApiProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/fields/Field';
import { Wordmark } from '../../ui/page/Wordmark';
import * as m from '#messages';

/** A sheet for who is not signed in. */
export function OutsideSheet({
  title,
  children,
  onSubmit,
}: {
  title: string;
  children: ReactNode;
  onSubmit?: () => void;
}) {
  return (
    <main className="floor-paper flex min-h-screen items-center justify-center p-6">
      <form
        onSubmit={(event: SyntheticEvent) => {
          event.preventDefault();
          onSubmit?.();
        }}
        className="w-full max-w-sm border-2 border-ink bg-sheet p-8 shadow-[6px_6px_0_var(--ink)]"
      >
        <Wordmark large />
        <h1 className="mt-4 mb-4 text-xl font-semibold">{title}</h1>
        {children}
      </form>
    </main>
  );
}

function SignInLink() {
  return (
    <a className="underline" href="/">
      {m.account_signIn()}
    </a>
  );
}

/** It is done, and signing in is next. */
export function DoneOutside({ text }: { text: string }) {
  return (
    <p>
      {text} <SignInLink />
    </p>
  );
}

/** Sends something and keeps what came of it. */
export function useSend(send: () => Promise<unknown>) {
  const [busy, setBusy] = useState(false);
  const [done, setDone] = useState(false);
  const [problem, setProblem] = useState<ApiProblem>();
  const go = () => {
    setBusy(true);
    setProblem(undefined);
    send()
      .then(
        () => setDone(true),
        (error: unknown) => setProblem(isProblem(error) ? error : undefined),
      )
      .finally(() => setBusy(false));
  };
  return { busy, done, problem, go };
}

/** The way back in for who has forgotten their password: a link by mail. */
export function ForgottenPage() {
  const [email, setEmail] = useState('');
  const { busy, done, problem, go } = useSend(() => take(api.POST('/api/account/forgotten', { body: { email } })));
  return (
    <OutsideSheet title={m.account_forgotten()} onSubmit={go}>
      {done ? (
        <p>{m.account_forgottenSent()}</p>
      ) : (
        <>
          <Field
            label={m.account_email()}
            type="email"
            autoComplete="username"
            required
            value={email}
            error={problem?.message}
            onChange={(event) => setEmail(event.target.value)}
          />
          <Button look="main" type="submit" className="mt-6 w-full" busy={busy}>
            {m.account_forgottenDo()}
          </Button>
        </>
      )}
      <p className="mt-6 text-sm">
        <SignInLink />
      </p>
    </OutsideSheet>
  );
}

/** A new password, by a link that came by mail. */
export function NewPasswordPage() {
  const { token = '' } = useParams();
  const [password, setPassword] = useState('');
  const { busy, done, problem, go } = useSend(() =>
    take(api.POST('/api/account/password', { body: { token, password } })),
  );
  return (
    <OutsideSheet title={m.account_change()} onSubmit={go}>
      {done ? (
        <DoneOutside text={m.account_passwordSet()} />
      ) : (
        <>
          <Field
            label={m.account_passwordNext()}
            hint={m.account_passwordHint()}
            type="password"
            autoComplete="new-password"
            required
            value={password}
            error={problem?.message}
            onChange={(event) => setPassword(event.target.value)}
          />
          <Button look="main" type="submit" className="mt-6 w-full" busy={busy}>
            {m.account_changeDo()}
          </Button>
        </>
      )}
    </OutsideSheet>
  );
}
