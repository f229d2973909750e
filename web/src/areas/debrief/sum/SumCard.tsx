// A question with what all have answered to it.
import { useState } from 'react';
import type { Schema } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { list } from '../../../words/list';
import { useDebrief, usePutDown, useShowSum } from '../useDebrief';
import { SumPicture, type SumView } from './SumPicture';
import { useApart } from './useSums';

/** What is right is left out until it is asked for. */
const withoutRight = (sum: SumView): SumView => ({
  ...sum,
  tallies: sum.tallies
    .filter((tally) => tally.count > 0 || sum.shape === 'bars')
    .map((tally) => ({ ...tally, right: null })),
  scores: [],
  of: 0,
});

/** One question, with what all have answered, and who has not. */
export function SumCard({
  lesson,
  round,
  sum,
  onOpen,
}: {
  lesson: Schema['LessonView'];
  round: string;
  sum: SumView;
  /** Opens what a group has done. */
  onOpen?: ((group: string) => void) | undefined;
}) {
  const [hasRight, setRight] = useState(false);
  const debrief = useDebrief(lesson);
  const show = useShowSum(lesson.id);
  const putDown = usePutDown(lesson.id);
  const apart = useApart(round);
  const place = { round, original: sum.original, slot: sum.block.id };
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
        {debrief !== undefined && lesson.endedAt === null && (
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
      <SumPicture
        sum={hasRight ? sum : withoutRight(sum)}
        onPress={onOpen === undefined ? undefined : ({ group }) => group !== null && onOpen(group)}
        onApart={(text, isApart) => apart.mutate({ original: sum.original, slot: sum.block.id, text, apart: isApart })}
      />
      {apart.isError && <p className="mt-2 text-sm font-semibold text-lost">{problemText(apart.error)}</p>}
      {sum.missing.length > 0 && sum.answered > 0 && (
        <p className="mt-2 text-sm text-soft wrap-anywhere">
          {m.debrief_notAnswered({ names: list(sum.missing.map((i) => sum.sources[i]?.name ?? '')) })}
        </p>
      )}
    </section>
  );
}
