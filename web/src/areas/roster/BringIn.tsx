import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, take } from '../../api/client';
import { Button } from '../../ui/Button';
import { useMessages } from '../../ui/messages';
import { words } from '../../words';
import { ReadingBox, useReading } from './Reading';

/**
 * Brings a list from anywhere into the class: what will be added, changed, left alone and refused is shown first.
 *
 * @param onDone what follows when the list is in and nothing of it was refused
 */
export function BringIn({
  classId,
  main,
  onDone,
}: {
  classId: string;
  main: boolean;
  onDone?: (() => void) | undefined;
}) {
  const queries = useQueryClient();
  const { say } = useMessages();
  const reading = useReading(classId);
  const bring = useMutation({
    mutationFn: () =>
      take(api.POST('/api/staff/classes/{id}/import', { params: { path: { id: classId } }, body: reading.request })),
    onSuccess: async (done) => {
      say(words.roster.bringDone(done.added, done.changed));
      // What was refused stays to be put right.
      const refused = done.lines.filter((line) => line.fate === 'refused').map((line) => line.shown);
      const pasted = reading.file === null;
      reading.forget();
      if (pasted) reading.type(refused.join('\n'));
      await queries.invalidateQueries({ queryKey: ['class', classId] });
      if (refused.length === 0) onDone?.();
    },
  });
  return (
    <section aria-label={words.roster.bringIn} className="border border-ink bg-sheet p-4 print:hidden">
      <h2 className="text-lg font-semibold">{words.roster.bringIn}</h2>
      <p className="text-sm text-soft">{words.roster.bringLead}</p>
      <ReadingBox reading={reading} error={bring.error}>
        {(seen) => (
          <div className="flex flex-wrap items-center gap-4">
            <Button
              look={main || seen.added + seen.changed > 0 ? 'main' : 'plain'}
              disabled={seen.added + seen.changed === 0 || reading.preview.isPlaceholderData}
              busy={bring.isPending}
              onClick={() => bring.mutate()}
            >
              {words.roster.bringDo(seen.added, seen.changed)}
            </Button>
            <span className="text-sm text-soft">{words.roster.bringCounts(seen.same, seen.refused)}</span>
          </div>
        )}
      </ReadingBox>
    </section>
  );
}
