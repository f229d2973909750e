// The work of all groups, question by question.
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, take, whole, type Schema } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { hear } from '../../../api/stream/staffStream';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { useDebrief, usePutDown, useShowSum } from '../useDebrief';
import { SumPicture, type SumView } from './SumPicture';

/** While students write, sums are asked for so often. */
const followEvery = 3_000;

/** The sums of a round, kept about as new as they are on the server. */
function useSums(roundId: string) {
  const queries = useQueryClient();
  useEffect(() => {
    let soon: ReturnType<typeof setTimeout> | undefined;
    const later = () => {
      soon ??= setTimeout(() => {
        soon = undefined;
        void queries.invalidateQueries({ queryKey: ['sums', roundId] });
      }, followEvery);
    };
    const stop = hear({
      onMessage: (message) => {
        if (message.kind === 'answer' || message.kind === 'change') later();
      },
      onLookAgain: later,
    });
    return () => {
      stop();
      clearTimeout(soon);
    };
  }, [roundId, queries]);
  return useQuery({
    queryKey: ['sums', roundId],
    queryFn: async () =>
      whole(await take(api.GET('/api/staff/rounds/{id}/sums', { params: { path: { id: roundId } } }))),
  });
}

/** What is right is left out until it is asked for. */
const withoutRight = (sum: SumView): SumView => ({
  ...sum,
  tallies: sum.tallies
    .filter((tally) => tally.count > 0 || sum.shape === 'bars')
    .map((tally) => ({ ...tally, right: null })),
  scores: [],
  of: 0,
});

function Question({
  lesson,
  sum,
  onOpen,
}: {
  lesson: Schema['LessonView'];
  sum: SumView;
  onOpen: (group: string) => void;
}) {
  const [hasRight, setRight] = useState(false);
  const debrief = useDebrief(lesson);
  const show = useShowSum(lesson.id);
  const putDown = usePutDown(lesson.id);
  const place = { round: lesson.round.id, original: sum.original, slot: sum.block.id };
  const isOn = debrief?.heldUp.some(
    (held) => held.round === place.round && held.original === place.original && held.slot === place.slot,
  );
  return (
    <section className="border border-ink bg-sheet p-4">
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <p className="min-w-0 flex-1 basis-48 text-sm text-soft wrap-anywhere">
          {sum.title}
          {sum.page === '' ? '' : ` · ${sum.page}`}
        </p>
        {sum.of > 0 && (
          <Button look="quiet" className="text-sm" aria-pressed={hasRight} onClick={() => setRight(!hasRight)}>
            {hasRight ? m.debrief_hideRight() : m.debrief_showRight()}
          </Button>
        )}
        {debrief !== undefined && (
          <Button
            className={isOn === true ? 'bg-ink! font-semibold text-ground' : 'font-semibold'}
            aria-pressed={isOn}
            busy={show.isPending || putDown.isPending}
            onClick={() => (isOn === true ? putDown.mutate() : show.mutate(place))}
          >
            {isOn === true ? m.debrief_stopShowing() : m.debrief_showEveryone()}
          </Button>
        )}
      </div>
      <SumPicture sum={hasRight ? sum : withoutRight(sum)} onPress={({ group }) => group !== null && onOpen(group)} />
    </section>
  );
}

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
          <Question
            key={`${sum.original}${sum.block.id}${sum.block.settings.passage}`}
            lesson={lesson}
            sum={sum}
            onOpen={onOpen}
          />
        ))}
      </div>
      <p className="mt-4">
        <a className="underline" href={`/api/staff/rounds/${lesson.round.id}/sums.csv`}>
          {m.debrief_sumsCsv()}
        </a>
      </p>
    </>
  );
}
