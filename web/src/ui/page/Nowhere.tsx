import { Link } from 'react-router';
import * as m from '#messages';
import { Page } from './Page';

/** Where an address leads to nothing: says so, and shows the way. */
export function Nowhere() {
  return (
    <Page title={m.common_nowhere()}>
      <main className="mx-auto max-w-xl p-10">
        <h1 className="font-head text-3xl font-semibold">{m.common_nowhere()}</h1>
        <p className="mt-2 text-soft">{m.common_nowhereLead()}</p>
        <Link to="/" className="mt-6 inline-block border-2 border-ink bg-accent px-4 py-2 font-semibold text-on-accent">
          {m.common_home()}
        </Link>
      </main>
    </Page>
  );
}
