import { useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { signOut } from '../../areas/account/session';
import * as m from '#messages';
import { pageTitle } from '../../words/pageTitle';
import { Button } from '../Button';
import { useMessages } from './messages';
import { Wordmark } from './Wordmark';

/** The frame of a teacher's page: the way home, where one is, the way out. */
export function Page({
  title,
  trail,
  aside,
  children,
}: {
  /** What is open, for the browser's tab. */
  title?: string | undefined;
  trail?: ReactNode;
  aside?: ReactNode;
  children: ReactNode;
}) {
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
      <title>{pageTitle(title)}</title>
      <a
        href="#content"
        className="sr-only z-50 border-2 border-ink bg-sheet px-3 py-2 focus:not-sr-only focus:absolute focus:top-1 focus:inset-s-1"
      >
        {m.common_skip()}
      </a>
      <header className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b-2 border-ink bg-sheet px-5 py-2">
        <Link to="/" aria-label={m.lesson_back()}>
          <Wordmark />
        </Link>
        <div className="order-last min-w-0 basis-full lg:order-none lg:flex-1 lg:basis-0">{trail}</div>
        {aside}
        <Link to="/cupboard" className="px-2 py-1 underline decoration-line underline-offset-4 hover:decoration-ink">
          {m.common_cupboard()}
        </Link>
        <Link to="/account" className="px-2 py-1 underline decoration-line underline-offset-4 hover:decoration-ink">
          {m.account_own()}
        </Link>
        <Button look="quiet" onClick={leave}>
          {m.account_signOut()}
        </Button>
      </header>
      <div id="content" tabIndex={-1} className="contents">
        {children}
      </div>
    </div>
  );
}
