import clsx from 'clsx';
import { useServerNow } from '../../api/clock';
import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { Duration } from '../../ui/Duration';
import * as m from '#messages';
import { reasonText, signalOf } from './signals';

type Lesson = Schema['LessonView'];

/** Whom to visit, the next first and why; or whom one is with, and for how long. */
export function VisitPanel({
  lesson,
  me,
  busy,
  isNext,
  onVisit,
  onLeave,
  onSee,
}: {
  lesson: Lesson;
  /** Id of whoever looks. */
  me: string;
  busy: boolean;
  /** Whether the visit is what comes next. */
  isNext: boolean;
  onVisit: (group: string) => void;
  onLeave: () => void;
  onSee: (group: string) => void;
}) {
  const now = useServerNow(1_000);
  const nameOf = (id: string) => lesson.floor.groups.find((group) => group.id === id)?.name ?? '';
  const here = lesson.signals.find((one) => one.visitor === me);
  const [next, ...more] = lesson.visits;
  const why = (one: Schema['NextVisitView']) => reasonText(one, signalOf(lesson, one.groupId), now);
  const call = next === undefined ? null : (signalOf(lesson, next.groupId)?.call ?? null);
  return (
    <div className="flex min-h-25 flex-col gap-1">
      {here !== undefined && (
        <div className="flex items-baseline justify-between gap-2 bg-wash px-2 py-0.5">
          <span className="min-w-0 font-semibold wrap-anywhere">
            {m.round_with({ group: nameOf(here.groupId) })}{' '}
            <span className="font-normal tabular-nums">
              <Duration seconds={Math.max(0, Math.floor((now - (here.since ?? now)) / 1_000))} />
            </span>
          </span>
          <Button look="quiet" className="shrink-0 whitespace-nowrap" busy={busy} onClick={onLeave}>
            {m.round_leave()}
          </Button>
        </div>
      )}
      {next === undefined ? (
        <p className="text-sm text-soft">{m.round_nobody()}</p>
      ) : (
        <>
          <Button
            look={isNext ? 'main' : 'plain'}
            className={clsx('w-full text-start', !isNext && 'border-2 px-5 py-2.5')}
            busy={busy}
            onClick={() => onVisit(next.groupId)}
          >
            <span className="block leading-tight font-semibold wrap-anywhere">
              {here === undefined
                ? m.round_goTo({ group: nameOf(next.groupId) })
                : m.round_onTo({ group: nameOf(next.groupId) })}
            </span>
            <span className="block text-sm leading-tight font-normal">{why(next)}</span>
          </Button>
          {call !== null && call.seenAt === null && (
            <Button look="quiet" className="self-start text-sm" busy={busy} onClick={() => onSee(next.groupId)}>
              {m.round_see()}
            </Button>
          )}
        </>
      )}
      {more.length > 0 && (
        <ol aria-label={m.round_after()} className="text-sm">
          {more.slice(0, here === undefined && call?.seenAt !== null ? 2 : 1).map((one) => (
            <li key={one.groupId} className="flex items-baseline gap-2">
              <Button
                look="quiet"
                className="max-w-[70%] shrink-0 truncate py-0.5 text-sm"
                busy={busy}
                onClick={() => onVisit(one.groupId)}
              >
                {nameOf(one.groupId)}
              </Button>
              <span className="min-w-0 truncate text-soft">{why(one)}</span>
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}
