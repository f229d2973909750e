// A class over the term: who has worked with whom, who was called on, was missing, was visited, had which role.
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { problemText } from '../../../api/problem';
import { Page } from '../../../ui/page/Page';
import * as m from '#messages';
import { dateText } from '../../../words/when';
import { pairsOf, type Pairs } from './pairs';
import { PairsTable } from './PairsTable';
import { StudentsTable } from './StudentsTable';
import { useTerm, type TermView } from './useTerm';

/** Somebody's partners: those they were never with come first. */
function Partners({ term, pairs, chosen }: { term: TermView; pairs: Pairs; chosen: number | null }) {
  if (chosen === null) return <p className="text-sm text-soft">{m.term_choose()}</p>;
  const name = (i: number) => term.students[i]?.name ?? '';
  const never = pairs.never(chosen);
  const often = pairs.often(chosen).slice(0, 8);
  return (
    <div className="text-sm">
      <h3 className="mb-2 text-lg wrap-anywhere">{name(chosen)}</h3>
      <h4 className="font-sans font-semibold">{m.term_never({ n: never.length })}</h4>
      <ul className="mb-3 columns-1">
        {never.map((i) => (
          <li key={i} className="wrap-anywhere">
            {name(i)}
          </li>
        ))}
      </ul>
      {often.length > 0 && (
        <>
          <h4 className="font-sans font-semibold">{m.term_often()}</h4>
          <ul>
            {often.map(({ other, times }) => (
              <li key={other} className="flex justify-between gap-3">
                <span className="min-w-0 wrap-anywhere">{name(other)}</span>
                <span className="tabular-nums">{m.term_times({ n: times })}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

function Whole({ classId, term }: { classId: string; term: TermView }) {
  const pairs = useMemo(() => pairsOf(term.students.length, term.together), [term]);
  const [chosen, setChosen] = useState<number | null>(null);
  const choose = (i: number) => setChosen(i);
  const first = term.lessons[0];
  const last = term.lessons.at(-1);
  if (first === undefined || last === undefined) return <p className="p-5 text-lg">{m.term_none()}</p>;
  return (
    <main className="flex-1 bg-ground px-5 pt-4 pb-10">
      <h1 className="text-2xl">{m.term_title()}</h1>
      <p className="text-soft">
        {dateText(first.at) === dateText(last.at)
          ? m.term_lessonsOn({ n: term.lessons.length, day: dateText(first.at) })
          : m.term_lessons({ n: term.lessons.length, from: dateText(first.at), to: dateText(last.at) })}
      </p>
      <section aria-labelledby="together" className="mt-5">
        <h2 id="together" className="mb-3 border-t-2 border-ink pt-2 text-xl">
          {m.term_together()}
        </h2>
        <p className="mb-2 text-sm text-soft">{m.term_history()}</p>
        <div className="flex flex-col gap-6 xl:flex-row">
          <div className="min-w-0">
            <PairsTable term={term} pairs={pairs} chosen={chosen} onChoose={choose} />
          </div>
          <div aria-live="polite" className="min-w-56 xl:flex-1">
            <Partners term={term} pairs={pairs} chosen={chosen} />
          </div>
        </div>
      </section>
      <section aria-labelledby="each" className="mt-8">
        <h2 id="each" className="mb-3 border-t-2 border-ink pt-2 text-xl">
          {m.term_each()}
        </h2>
        <StudentsTable term={term} onChoose={choose} />
      </section>
      <p className="mt-6 flex flex-wrap gap-4 text-sm">
        <a className="underline" href={`/api/staff/classes/${classId}/term.pdf`}>
          {m.record_pdf()}
        </a>
        <a className="underline" href={`/api/staff/classes/${classId}/term.csv`}>
          {m.term_csv()}
        </a>
      </p>
    </main>
  );
}

export function TermPage() {
  const { id = '' } = useParams();
  const term = useTerm(id);
  return (
    <Page
      title={m.term_title()}
      trail={
        <Link to={`/classes/${id}`} className="underline decoration-line underline-offset-4 hover:decoration-ink">
          {term.data?.className ?? m.term_class()}
        </Link>
      }
    >
      {term.isPending ? (
        <p className="p-5 text-soft">{m.common_loading()}</p>
      ) : term.isError ? (
        <p className="p-5 font-semibold text-lost">{problemText(term.error)}</p>
      ) : (
        <Whole classId={id} term={term.data} />
      )}
    </Page>
  );
}
