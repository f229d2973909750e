// The turns of a share-out on the ribbon, to scale: who has reported, who reports, who is to come.
import clsx from 'clsx';
import type { Schema } from '../../api/client';
import { useServerNow } from '../../api/clock';
import { markOf } from '../../ui/signs/marks';
import { Sign } from '../../ui/signs/Sign';
import * as m from '#messages';
import { lasting } from '../../words/lasting';
import { useDebrief } from './useDebrief';

export function TurnsLine({ lesson }: { lesson: Schema['LessonView'] }) {
  const now = useServerNow(1_000);
  const debrief = useDebrief(lesson);
  const turns = debrief?.turns ?? [];
  if (turns.length === 0) return null;
  const all = turns.reduce((sum, turn) => sum + turn.forMs, 0);
  return (
    <ol aria-label={m.debrief_order()} className="flex h-7 overflow-hidden border border-ink bg-sheet text-xs">
      {turns.map((turn) => {
        const isNow = turn.begunAt !== null && turn.endedAt === null;
        const { colour } = markOf(turn.mark);
        const gone = isNow ? Math.min(1, (now - (turn.begunAt ?? now)) / Math.max(1, turn.forMs)) : 0;
        const left = (turn.endsAt ?? now) - now;
        return (
          <li
            key={turn.id}
            title={turn.name}
            className={clsx(
              'relative flex min-w-0 items-center justify-center gap-1 overflow-hidden border-e border-ink px-1 last:border-e-0',
              turn.endedAt !== null && 'opacity-50',
              isNow && left < 0 && 'bg-lost text-sheet',
            )}
            style={{
              width: `${(100 * turn.forMs) / Math.max(1, all)}%`,
              ...(isNow && left >= 0 ? { backgroundColor: `color-mix(in oklab, ${colour} 16%, var(--sheet))` } : {}),
            }}
          >
            {isNow && left >= 0 && (
              <span
                aria-hidden="true"
                className="absolute inset-y-0 inset-s-0"
                style={{
                  width: `${100 * gone}%`,
                  backgroundColor: `color-mix(in oklab, ${colour} 45%, var(--sheet))`,
                }}
              />
            )}
            <span className={clsx('relative flex min-w-0 items-center gap-1', isNow && 'font-bold')}>
              <Sign mark={turn.mark} size={14} plain={isNow && left < 0} />
              <span className="truncate">{turn.name}</span>
              {isNow && (
                <span className="shrink-0 tabular-nums whitespace-nowrap">
                  {left < 0 ? `+ ${lasting(-left / 1_000)}` : lasting(left / 1_000)}
                </span>
              )}
            </span>
          </li>
        );
      })}
    </ol>
  );
}
