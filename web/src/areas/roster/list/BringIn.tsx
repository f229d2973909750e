import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, take } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { useMessages } from '../../../ui/page/messages';
import * as m from '#messages';
import { ReadingBox, useReading } from './Reading';

/** Which sentence fits: something is added, changed, both or nothing. */
const whatOf = ({ added, changed }: { added: number; changed: number }) =>
  added > 0 ? (changed > 0 ? 'both' : 'added') : changed > 0 ? 'changed' : 'none';

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
      say(m.roster_bringDone({ key: whatOf(done), added: done.added, changed: done.changed }));
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
    <section aria-label={m.roster_bringIn()} className="border border-ink bg-sheet p-4 print:hidden">
      <h2 className="text-lg font-semibold">{m.roster_bringIn()}</h2>
      <p className="text-sm text-soft">{m.roster_bringLead()}</p>
      <ReadingBox reading={reading} error={bring.error}>
        {(seen) => (
          <div className="flex flex-wrap items-center gap-4">
            <Button
              look={main || seen.added + seen.changed > 0 ? 'main' : 'plain'}
              disabled={seen.added + seen.changed === 0 || reading.preview.isPlaceholderData}
              busy={bring.isPending}
              onClick={() => bring.mutate()}
            >
              {m.roster_bringDo({ key: whatOf(seen), added: seen.added, changed: seen.changed })}
            </Button>
            <span className="text-sm text-soft">
              {[
                ...(seen.same > 0 ? [m.roster_bringSame({ n: seen.same })] : []),
                ...(seen.refused > 0 ? [m.roster_bringRefused({ n: seen.refused })] : []),
              ].join(', ')}
            </span>
          </div>
        )}
      </ReadingBox>
    </section>
  );
}
