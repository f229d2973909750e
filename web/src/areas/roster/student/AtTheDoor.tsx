import type { ReactNode } from 'react';
import { Button } from '../../../ui/Button';
import { Field } from '../../../ui/fields/Field';
import { Wordmark } from '../../../ui/page/Wordmark';
import * as m from '#messages';

/** The frame of everything at the students' door. */
export function AtTheDoor({ children }: { children: ReactNode }) {
  return (
    <main className="mx-auto min-h-screen w-full max-w-md p-5">
      <p className="mb-8">
        <Wordmark />
      </p>
      {children}
    </main>
  );
}

/** The first step: the door word. It stands in the page itself too, before any script is here (`prerender.tsx`). */
export function TypeDoorWord({
  doorWord,
  busy = false,
  error,
  onDoorWord = () => undefined,
  onKnock = () => undefined,
}: {
  doorWord: string;
  busy?: boolean;
  error?: string | undefined;
  onDoorWord?: (doorWord: string) => void;
  onKnock?: () => void;
}) {
  return (
    <form
      // Before our scripts are here the browser itself asks, with the door word in the address.
      action="/student"
      onSubmit={(event) => {
        event.preventDefault();
        onKnock();
      }}
    >
      <h1 className="text-4xl font-semibold">{m.student_join_title()}</h1>
      <Field
        className="mt-6 [&_input]:py-3 [&_input]:text-center [&_input]:font-head [&_input]:text-2xl"
        name="door"
        label={m.student_join_doorWord()}
        hint={m.student_join_doorWordHint()}
        value={doorWord}
        error={error}
        maxLength={40}
        autoCapitalize="none"
        autoComplete="off"
        spellCheck={false}
        onChange={(event) => onDoorWord(event.target.value)}
      />
      <Button look="main" type="submit" className="mt-6 w-full py-4 text-xl" busy={busy}>
        {m.student_join_go()}
      </Button>
    </form>
  );
}
