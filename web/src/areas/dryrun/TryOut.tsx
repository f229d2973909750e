// What a teacher can try before the lesson: what is likely to come of it, in a moment.
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema } from '../../api/client';
import { problemText } from '../../api/problem';
import { Button } from '../../ui/Button';
import * as m from '#messages';
import type { LessonDesk } from '../live/page/useLessonDesk';
import { usePlanActions } from '../live/plan/usePlanActions';
import { WorthALook } from '../ready/ReadyNow';
import { usePractice } from './usePractice';

type Round = Schema['RehearsedRoundView'];

function RoundLine({ round, isOne }: { round: Round; isOne: boolean }) {
  const says = [
    m.dryrun_moved({ seconds: round.movedSeconds }),
    m.dryrun_visited({ n: round.visited, all: round.groups }),
    ...(round.waitSeconds === null ? [] : [m.dryrun_waits({ seconds: round.waitSeconds })]),
    m.dryrun_back({ seconds: round.backSeconds }),
  ];
  return (
    <li className="border-b border-line py-1.5 text-sm last:border-0">
      {!isOne && <span className="font-semibold">{m.dryrun_round({ n: round.round })} </span>}
      {says.join(' · ')}
    </li>
  );
}

function Rehearsed({ desk, result }: { desk: LessonDesk; result: Schema['RehearsalView'] }) {
  const { run } = usePlanActions(desk, false);
  if (result.times === 0) return <p className="text-soft">{m.dryrun_nothing()}</p>;
  return (
    <div role="status">
      <p className="text-sm text-soft">
        {m.dryrun_times({ n: result.times })}
        {result.findings.length === 0 && ` ${m.dryrun_well()}`}
      </p>
      <WorthALook
        main={undefined}
        findings={result.findings}
        onMend={(finding) =>
          finding.segment === null || finding.segment === desk.lesson.round.segmentId
            ? run[finding.mend](finding.subject)
            : desk.showSegment(finding.segment)
        }
        onOther={() => undefined}
      />
      <ul className="mt-2">
        {result.rounds.map((round) => (
          <RoundLine key={round.round} round={round} isOne={result.rounds.length === 1} />
        ))}
      </ul>
    </div>
  );
}

export function TryOut({ desk }: { desk: LessonDesk }) {
  const { lesson } = desk;
  const { begin } = usePractice(lesson.id);
  const [asked, setAsked] = useState(false);
  const rehearsal = useQuery({
    queryKey: ['rehearsal', lesson.id],
    queryFn: () => take(api.GET('/api/staff/lessons/{id}/rehearsal', { params: { path: { id: lesson.id } } })),
    enabled: asked,
    // What was rehearsed is the plan of that moment; another press rehearses it anew.
    staleTime: Infinity,
    retry: false,
  });
  const rehearse = () => {
    if (asked) void rehearsal.refetch();
    else setAsked(true);
  };
  return (
    <section aria-label={m.dryrun_title()} className="mt-4">
      <h2 className="font-sans text-sm font-semibold text-soft">{m.dryrun_title()}</h2>
      <p className="text-sm text-soft">{m.dryrun_practiseHint()}</p>
      <Button className="mt-1 w-full" busy={begin.isPending} onClick={() => begin.mutate()}>
        {m.dryrun_practise()}
      </Button>
      <Button look="quiet" className="mt-1 text-sm" busy={rehearsal.isFetching} onClick={rehearse}>
        {rehearsal.data === undefined ? m.dryrun_rehearse() : m.dryrun_again()}
      </Button>
      {rehearsal.isError && <p role="alert">{problemText(rehearsal.error)}</p>}
      {rehearsal.data !== undefined && <Rehearsed desk={desk} result={rehearsal.data} />}
    </section>
  );
}
