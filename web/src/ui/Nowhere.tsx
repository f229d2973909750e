import { Link } from 'react-router';
import { words } from '../words';
import { Page } from './Page';

/** Where an address leads to nothing: says so, and shows the way. */
export function Nowhere() {
  return (
    <Page title={words.common.nowhere}>
      <main className="mx-auto max-w-xl p-10">
        <h1 className="font-head text-3xl font-semibold">{words.common.nowhere}</h1>
        <p className="mt-2 text-soft">{words.common.nowhereLead}</p>
        <Link to="/" className="mt-6 inline-block border-2 border-ink bg-accent px-4 py-2 font-semibold text-on-accent">
          {words.common.home}
        </Link>
      </main>
    </Page>
  );
}
