import { useState, type ReactNode, type SyntheticEvent } from 'react';
import { useParams } from 'react-router';
import { api, take } from '../../api/client';
import { isProblem, type ApiProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Wordmark } from '../../ui/Wordmark';
import { words } from '../../words';

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
      {words.account.signIn}
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
    <OutsideSheet title={words.account.forgotten} onSubmit={go}>
      {done ? (
        <p>{words.account.forgottenSent}</p>
      ) : (
        <>
          <Field
            label={words.account.email}
            type="email"
            autoComplete="username"
            required
            value={email}
            error={problem?.message}
            onChange={(event) => setEmail(event.target.value)}
          />
          <Button look="main" type="submit" className="mt-6 w-full" busy={busy}>
            {words.account.forgottenDo}
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
    <OutsideSheet title={words.account.change} onSubmit={go}>
      {done ? (
        <DoneOutside text={words.account.passwordSet} />
      ) : (
        <>
          <Field
            label={words.account.passwordNext}
            hint={words.account.passwordHint}
            type="password"
            autoComplete="new-password"
            required
            value={password}
            error={problem?.message}
            onChange={(event) => setPassword(event.target.value)}
          />
          <Button look="main" type="submit" className="mt-6 w-full" busy={busy}>
            {words.account.changeDo}
          </Button>
        </>
      )}
    </OutsideSheet>
  );
}
