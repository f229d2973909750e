// What students work on alone in a segment.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { useMessages } from '../../../ui/page/messages';
import { Sheet } from '../../../ui/slips/Sheet';
import * as m from '#messages';
import { newPage } from '../blocks';
import { CupboardList } from '../cupboard/CupboardList';

/** Gives a worksheet to a segment; one that is new opens to be written. */
function useGive(
  lesson: Schema['LessonView'],
  segment: string,
  onOpen: (original: string, roundSegment: string) => void,
  onDone: () => void,
) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const writeNew = () =>
    take(api.POST('/api/staff/originals', { body: { title: m.edit_exitTicket(), basedOn: 0, pages: [newPage()] } }));
  return useMutation({
    mutationFn: async (chosen: string | null) => {
      const original = chosen ?? (await writeNew()).id;
      await take(api.POST('/api/staff/segments/{id}/work', { params: { path: { id: segment } }, body: { original } }));
      return { original, isNew: chosen === null };
    },
    onSuccess: async ({ original, isNew }) => {
      await queries.invalidateQueries({ queryKey: ['lesson', lesson.id] });
      onDone();
      if (!isNew) return;
      const fresh = queries.getQueryData<Schema['LessonView']>(['lesson', lesson.id]);
      const row = fresh?.alone.find((one) => one.original === original);
      onOpen(original, row?.roundSegment ?? lesson.round.segmentId);
    },
    onError: fail,
  });
}

/** The worksheets that everybody works on alone in a segment: those there are, and one more. */
export function AloneWork({
  lesson,
  segment,
  onOpen,
}: {
  lesson: Schema['LessonView'];
  segment: string;
  /** Shows a worksheet where it is written; it stands in the plan of this round. */
  onOpen: (original: string, roundSegment: string) => void;
}) {
  const [choosing, setChoosing] = useState(false);
  const work = lesson.alone.filter((one) => one.segment === segment);
  const here = new Set(work.map((one) => one.original));
  const give = useGive(lesson, segment, onOpen, () => setChoosing(false));
  return (
    <section>
      <h3 className="font-sans text-sm font-semibold">{m.edit_aloneWork()}</h3>
      {work.length === 0 && <p className="text-sm text-soft">{m.edit_aloneNone()}</p>}
      <ul>
        {work.map((one) => (
          <li key={one.original}>
            <button
              type="button"
              className="min-h-6 text-start underline decoration-line underline-offset-4 wrap-anywhere hover:decoration-ink"
              onClick={() => onOpen(one.original, one.roundSegment)}
            >
              {one.title}
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap gap-2 text-sm">
        <Button busy={give.isPending} onClick={() => give.mutate(null)}>
          {m.edit_writeNew()}
        </Button>
        <Button onClick={() => setChoosing(true)}>{m.edit_fromMyWorksheets()}</Button>
      </div>
      <Sheet open={choosing} onClose={() => setChoosing(false)} title={m.edit_chooseOne()} wide="page">
        <CupboardList archived={false}>
          {(original) => (
            <Button
              disabled={here.has(original.id)}
              busy={give.isPending && give.variables === original.id}
              onClick={() => give.mutate(original.id)}
            >
              {m.edit_open()}
            </Button>
          )}
        </CupboardList>
      </Sheet>
    </section>
  );
}
