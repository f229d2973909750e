// Whom the teacher visits next.
import clsx from 'clsx';
import { useServerNow } from '../../../api/clock';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Duration } from '../../../ui/signs/Duration';
import * as m from '#messages';
import { reasonText, signalOf } from '../signals';

type Lesson = Schema['LessonView'];

interface Visits {
  lesson: Lesson;
  busy: boolean;
  onVisit: (group: string) => void;
}

const nameIn = (lesson: Lesson, id: string) => lesson.floor.groups.find((group) => group.id === id)?.name ?? '';

/** With whom one is, and for how long. */
function Here({ name, since, busy, onLeave }: { name: string; since: number; busy: boolean; onLeave: () => void }) {
  const now = useServerNow(1_000);
  return (
    <div className="flex items-baseline justify-between gap-2 bg-wash px-2 py-0.5">
      <span className="min-w-0 font-semibold wrap-anywhere">
        {m.round_with({ group: name })}{' '}
        <span className="font-normal tabular-nums">
          <Duration seconds={Math.max(0, Math.floor((now - since) / 1_000))} />
        </span>
      </span>
      <Button look="quiet" className="shrink-0 whitespace-nowrap" busy={busy} onClick={onLeave}>
        {m.round_leave()}
      </Button>
    </div>
  );
}

/** Those who come after the next one. */
function After({
  lesson,
  visits,
  busy,
  why,
  onVisit,
}: Visits & { visits: Schema['NextVisitView'][]; why: (visit: Schema['NextVisitView']) => string }) {
  return (
    <ol aria-label={m.round_after()} className="text-sm">
      {visits.map((one) => (
        <li key={one.groupId} className="flex items-baseline gap-2">
          <Button
            look="quiet"
            className="max-w-[70%] shrink-0 truncate py-0.5 text-sm"
            busy={busy}
            onClick={() => onVisit(one.groupId)}
          >
            {nameIn(lesson, one.groupId)}
          </Button>
          <span className="min-w-0 truncate text-soft">{why(one)}</span>
        </li>
      ))}
    </ol>
  );
}

/** Whom to visit, the next first and why; or whom one is with, and for how long. */
export function VisitPanel({
  me,
  isNext,
  onLeave,
  onSee,
  ...visits
}: Visits & {
  /** Id of whoever looks. */
  me: string;
  /** Whether the visit is what comes next. */
  isNext: boolean;
  onLeave: () => void;
  onSee: (group: string) => void;
}) {
  const { lesson, busy, onVisit } = visits;
  const now = useServerNow(1_000);
  const here = lesson.signals.find((one) => one.visitor === me);
  const [next, ...more] = lesson.visits;
  const why = (one: Schema['NextVisitView']) => reasonText(one, signalOf(lesson, one.groupId), now);
  const call = next === undefined ? null : (signalOf(lesson, next.groupId)?.call ?? null);
  const group = nameIn(lesson, next?.groupId ?? '');
  return (
    <div className="flex min-h-25 flex-col gap-1">
      {here !== undefined && (
        <Here name={nameIn(lesson, here.groupId)} since={here.since ?? now} busy={busy} onLeave={onLeave} />
      )}
      {next === undefined && <p className="text-sm text-soft">{m.round_nobody()}</p>}
      {next !== undefined && (
        <Button
          look={isNext ? 'main' : 'plain'}
          className={clsx('w-full text-start', !isNext && 'border-2 px-5 py-2.5')}
          busy={busy}
          onClick={() => onVisit(next.groupId)}
        >
          <span className="block leading-tight font-semibold wrap-anywhere">
            {here === undefined ? m.round_goTo({ group }) : m.round_onTo({ group })}
          </span>
          <span className="block text-sm leading-tight font-normal">{why(next)}</span>
        </Button>
      )}
      {next !== undefined && call !== null && call.seenAt === null && (
        <Button look="quiet" className="self-start text-sm" busy={busy} onClick={() => onSee(next.groupId)}>
          {m.round_see()}
        </Button>
      )}
      {more.length > 0 && (
        <After visits={more.slice(0, here === undefined && call?.seenAt !== null ? 2 : 1)} why={why} {...visits} />
      )}
    </div>
  );
}
