import { QueryClient } from '@tanstack/react-query';
import { startTransition } from 'react';
import { createRoot, hydrateRoot, type Root } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { dropPressesWhileDown, type Schema } from './api/client';
import { setRenderedAt } from './api/clock';
import { takeFirstData } from './api/firstData';
import { isPassing } from './api/problem';
import { TeacherApp } from './TeacherApp';
import { isPlaceKept, keepPlace } from './words/place';
import { takeTexts } from './words/written';

/** What only the next page needs waits until this one is surely there, on a slow device too; milliseconds. */
const quietAfter = 10_000;

dropPressesWhileDown();

const queries = new QueryClient({
  // A press that cannot be done now is said to have failed: it is never done later, when it is not meant any more.
  defaultOptions: {
    mutations: { networkMode: 'always' },
    queries: { networkMode: 'always', retry: (times, error) => isPassing(error) && times < 5, staleTime: 1_000 },
  },
});

/**
 * @param at where: an empty place, where the sign-in stood, or where the server has rendered the first view
 * @param me who has just signed in; undefined: it is asked
 */
export function begin(at: HTMLElement | Root, me?: Schema['Me']): void {
  setTimeout(keepPlace, isPlaceKept() ? quietAfter : 0);
  if (me !== undefined) queries.setQueryData(['me'], me);
  const app = <TeacherApp queries={queries} Router={BrowserRouter} />;
  const first = takeFirstData();
  if (at instanceof HTMLElement && first !== null) {
    setRenderedAt(first.now, first.at);
    takeTexts(first.texts);
    // Not asked for again while the page is still being taken over; a lesson's stream tells what has changed since.
    const updatedAt = Date.now() + quietAfter;
    for (const { key, data } of first.answers) queries.setQueryData(key, data, { updatedAt });
    // A view that is not what the server rendered (a minute later, say) is rendered anew by React; that is no error.
    // As a transition it is hydrated in slices: what is pressed meanwhile is heard.
    startTransition(() => void hydrateRoot(at, app, { onRecoverableError: () => undefined }));
    return;
  }
  (at instanceof HTMLElement ? createRoot(at) : at).render(app);
}
