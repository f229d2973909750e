// The way from a class to its term.
import { Link } from 'react-router';
import * as m from '#messages';

export function TermLink({ classId }: { classId: string }) {
  return (
    <p className="absolute inset-e-0 top-0 text-sm">
      <Link
        to={`/classes/${classId}/term`}
        className="inline-block min-h-6 underline decoration-line underline-offset-4 hover:decoration-ink"
      >
        {m.term_open()}
      </Link>
    </p>
  );
}
