import { useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { signOut } from '../areas/account/session';
import { words } from '../words';
import { Button } from './Button';
import { useMessages } from './messages';
import { Wordmark } from './Wordmark';

/** The frame of a teacher's page: the way home, where one is, the way out. */
export function Page({ trail, aside, children }: { trail?: ReactNode; aside?: ReactNode; children: ReactNode }) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const leave = () => {
    signOut()
      .then(() => {
        queries.clear();
        window.location.assign('/');
      })
      .catch(fail);
  };
  return (
    <div className="flex min-h-screen flex-col">
      <header className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b-2 border-ink bg-sheet px-5 py-2">
        <Link to="/" aria-label={words.lesson.back}>
          <Wordmark />
        </Link>
        <div className="min-w-0 flex-1">{trail}</div>
        {aside}
        <Link to="/account" className="px-2 py-1 underline decoration-line underline-offset-4 hover:decoration-ink">
          {words.account.own}
        </Link>
        <Button look="quiet" onClick={leave}>
          {words.account.signOut}
        </Button>
      </header>
      {children}
    </div>
  );
}
