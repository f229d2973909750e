import { useServerNow } from '../../api/clock';
import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { liveWords } from '../../words/live';
import { command, useCommand } from './useCommand';

type Lesson = Schema['LessonView'];

/** Who is to be elsewhere than with their group for a while, and the press that ends it. */
export function Away({ lesson }: { lesson: Lesson }) {
  const give = useCommand(lesson.id);
  const now = useServerNow(1_000);
  const away = lesson.students.filter((one) => one.aside !== null);
  if (away.length === 0) return null;
  const roomOf = (id: string | null) => lesson.rooms.find((room) => room.id === id)?.name ?? '';
  const back = (students: string[]) => give.mutate(command('putBack', { students }));
  return (
    <section aria-label={liveWords.away} className="shrink-0 border-t border-ink pt-2">
      <h2 className="font-sans text-sm font-semibold">{liveWords.away}</h2>
      <ul>
        {away.map((one) => (
          <li key={one.id} className="flex flex-wrap items-baseline gap-x-2 border-b border-line py-1 last:border-0">
            <span className="min-w-0 flex-1">
              <span className="font-semibold wrap-anywhere">{one.name}</span>
              <span className="block text-sm text-soft wrap-anywhere">
                {one.aside === 'main' ? liveWords.awayMain : liveWords.awayIn(roomOf(one.aside))}
                {(one.asideFrom ?? 0) > now && ` ${liveWords.awaySoon(((one.asideFrom ?? now) - now) / 1_000)}`}
              </span>
            </span>
            <Button look="quiet" className="text-sm" busy={give.isPending} onClick={() => back([one.id])}>
              {liveWords.putBack}
            </Button>
          </li>
        ))}
      </ul>
      {away.length > 1 && (
        <Button look="quiet" className="text-sm" busy={give.isPending} onClick={() => back(away.map((one) => one.id))}>
          {liveWords.putAllBack(away.length)}
        </Button>
      )}
    </section>
  );
}
