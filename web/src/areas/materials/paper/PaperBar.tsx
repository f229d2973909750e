import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { whenText } from '../../../words/when';

/** Above what is to be printed; on paper it is not. */
export function PaperBar({
  paper,
  title,
  pdf,
  children,
}: {
  paper: Schema['HandoutsView'];
  title: string;
  /** Where the same is as a file, or what makes it where it is a large one. */
  pdf: string | ReactNode;
  children?: ReactNode;
}) {
  return (
    <header className="flex flex-wrap items-center gap-x-5 gap-y-2 border-b-2 border-ink bg-sheet px-5 py-3 print:hidden">
      <div className="min-w-0">
        <h1 className="text-xl font-semibold">{title}</h1>
        <p className="text-sm text-soft wrap-anywhere">
          <Link to={`/lessons/${paper.lessonId}`} className="underline decoration-line underline-offset-4">
            {paper.title}
          </Link>{' '}
          · {paper.className} {paper.startsAt === null ? '' : `· ${whenText(paper.startsAt)}`}
        </p>
      </div>
      <div className="ms-auto flex flex-wrap items-center gap-3">
        {children}
        {typeof pdf === 'string' ? (
          <a href={pdf} download className="font-semibold underline decoration-line underline-offset-4">
            {m.paper_pdf()}
          </a>
        ) : (
          pdf
        )}
        <Button look="main" onClick={() => window.print()}>
          {m.paper_print()}
        </Button>
      </div>
    </header>
  );
}
