// Who is elsewhere than with their group for a while.
import { useServerNow } from '../../../api/clock';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { lasting } from '../../../words/lasting';
import { command, useCommand } from '../useCommand';

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
    <section aria-label={m.round_away()} className="shrink-0 border-t border-ink pt-2">
      <h2 className="font-sans text-sm font-semibold">{m.round_away()}</h2>
      <ul>
        {away.map((one) => (
          <li key={one.id} className="flex flex-wrap items-baseline gap-x-2 border-b border-line py-1 last:border-0">
            <span className="min-w-0 flex-1">
              <span className="font-semibold wrap-anywhere">{one.name}</span>
              <span className="block text-sm text-soft wrap-anywhere">
                {one.aside === 'main' ? m.round_awayMain() : m.round_awayIn({ place: roomOf(one.aside) })}
                {(one.asideFrom ?? 0) > now &&
                  ` ${m.round_awaySoon({ time: lasting(((one.asideFrom ?? now) - now) / 1_000) })}`}
              </span>
            </span>
            <Button look="quiet" className="text-sm" busy={give.isPending} onClick={() => back([one.id])}>
              {m.round_putBack()}
            </Button>
          </li>
        ))}
      </ul>
      {away.length > 1 && (
        <Button look="quiet" className="text-sm" busy={give.isPending} onClick={() => back(away.map((one) => one.id))}>
          {m.round_putAllBack({ n: away.length })}
        </Button>
      )}
    </section>
  );
}
