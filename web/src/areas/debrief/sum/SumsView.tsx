// The work of all groups, question by question.
import type { Schema } from '../../../api/client';
import { problemText } from '../../../api/problem';
import * as m from '#messages';
import { SumCard } from './SumCard';
import { useSums } from './useSums';

export function SumsView({ lesson, onOpen }: { lesson: Schema['LessonView']; onOpen: (group: string) => void }) {
  const sums = useSums(lesson.round.id);
  if (sums.isPending) return <p className="p-5 text-soft">{m.common_loading()}</p>;
  if (sums.isError) return <p className="p-5 font-semibold text-lost">{problemText(sums.error)}</p>;
  if (sums.data.length === 0)
    return <p className="mx-auto max-w-md py-16 text-center text-soft">{m.debrief_noSums()}</p>;
  return (
    <>
      <div className="grid items-start gap-4 xl:grid-cols-2">
        {sums.data.map((sum) => (
          <SumCard
            key={`${sum.original}${sum.block.id}${sum.block.settings.passage}`}
            lesson={lesson}
            round={lesson.round.id}
            sum={sum}
            onOpen={onOpen}
          />
        ))}
      </div>
      <p className="mt-4 flex flex-wrap gap-4">
        <a className="underline" href={`/api/staff/rounds/${lesson.round.id}/sums.pdf`}>
          {m.record_pdf()}
        </a>
        <a className="underline" href={`/api/staff/rounds/${lesson.round.id}/sums.csv`}>
          {m.debrief_sumsCsv()}
        </a>
      </p>
    </>
  );
}
