// Groups report in turn: whose turn it is, who comes next, and the work beside it.
import { Suspense, useState } from 'react';
import type { Schema } from '../../api/client';
import { useServerNow } from '../../api/clock';
import { Button } from '../../ui/Button';
import { useKeys } from '../../ui/keys/useKeys';
import { Duration } from '../../ui/signs/Duration';
import { markOf } from '../../ui/signs/marks';
import { Sign } from '../../ui/signs/Sign';
import * as m from '#messages';
import { ShownOnTeacher } from './ShownOnTeacher';
import { Turns } from './Turns';
import { TurnWork } from './TurnWork';
import { useBeginTurn, useDebrief, useEditTurn, type Debrief } from './useDebrief';

type Turn = Debrief['turns'][number];
const minute = 60_000;

/** The time the group that reports has left; loud once it is over. */
function TurnClock({ endsAt }: { endsAt: number }) {
  const now = useServerNow(500);
  const over = now > endsAt;
  const seconds = Math.floor(Math.abs(endsAt - now) / 1_000);
  return (
    <p
      role="timer"
      className={over ? 'bg-lost px-2 text-3xl font-bold text-sheet' : 'text-3xl font-bold'}
      aria-label={over ? m.debrief_overTime() : m.debrief_timeLeft()}
    >
      {over && '+ '}
      <Duration seconds={seconds} />
    </p>
  );
}

/** Whose turn it is, large, and the one thing to do next. */
function Reporting({ lesson, turns }: { lesson: Schema['LessonView']; turns: Turn[] }) {
  const begin = useBeginTurn(lesson.id);
  const edit = useEditTurn(lesson.id);
  const now = turns.find((turn) => turn.begunAt !== null && turn.endedAt === null);
  const next = turns.find((turn) => turn.begunAt === null);
  const press = () => {
    if (now !== undefined || next !== undefined) begin.mutate({ now: now?.id ?? null });
  };
  useKeys({ n: press });
  const colour = now === undefined ? 'var(--ink)' : markOf(now.mark).colour;
  return (
    <header
      className="flex flex-wrap items-center gap-x-6 gap-y-3 border-b-2 px-5 py-3"
      style={{ borderColor: colour, backgroundColor: `color-mix(in oklab, ${colour} 14%, var(--sheet))` }}
    >
      {now === undefined ? (
        <h2 className="min-w-0 flex-1 text-2xl">
          {next === undefined
            ? m.debrief_allDone()
            : next === turns[0]
              ? m.debrief_firstIs({ group: next.name })
              : m.debrief_nextIs({ group: next.name })}
        </h2>
      ) : (
        <>
          <h2 className="flex min-w-0 flex-1 items-center gap-3 text-3xl font-bold wrap-anywhere">
            <Sign mark={now.mark} size={32} /> {now.name}
          </h2>
          <div className="flex items-center gap-2">
            <TurnClock endsAt={now.endsAt ?? 0} />
            <Button
              aria-label={m.debrief_minuteMore()}
              onClick={() => edit.mutate({ turn: now.id, endsAt: (now.endsAt ?? 0) + minute })}
            >
              + 1
            </Button>
          </div>
        </>
      )}
      {(now !== undefined || next !== undefined) && (
        <Button look="main" busy={begin.isPending} onClick={press}>
          {next === undefined
            ? m.debrief_finish()
            : now === undefined
              ? m.debrief_start({ group: next.name })
              : m.debrief_nextGroup({ group: next.name })}
        </Button>
      )}
    </header>
  );
}

/** The share-out of a lesson; outside one, what is on every screen. */
export function ShareOut({ lesson }: { lesson: Schema['LessonView'] }) {
  const debrief = useDebrief(lesson);
  const [looked, setLooked] = useState<string | null>(null);
  if (debrief === undefined) return <p className="p-5 text-soft">{m.common_loading()}</p>;
  const { turns, shown } = debrief;
  const now = turns.find((turn) => turn.begunAt !== null && turn.endedAt === null);
  const first = now ?? turns.find((turn) => turn.begunAt === null) ?? turns.at(-1);
  const group = turns.find((turn) => turn.id === looked) ?? first;
  if (turns.length === 0 && shown === null)
    return <p className="floor-paper flex-1 p-8 text-center text-soft">{m.debrief_noGroups()}</p>;
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      {turns.length > 0 && <Reporting lesson={lesson} turns={turns} />}
      <div className="floor-paper flex min-h-0 flex-1 flex-col gap-5 p-5 lg:flex-row lg:overflow-hidden">
        {turns.length > 0 && (
          <Turns lesson={lesson} debrief={debrief} looked={group?.id ?? null} onLook={(turn) => setLooked(turn)} />
        )}
        <div className="min-w-0 flex-1 lg:overflow-y-auto">
          <Suspense fallback={null}>
            {shown !== null && <ShownOnTeacher lesson={lesson.id} shown={shown} />}
            {group !== undefined && <TurnWork lesson={lesson} group={group.groupId} name={group.name} />}
          </Suspense>
        </div>
      </div>
    </div>
  );
}
