// What the class page shows while the class talks about its work.
import { Suspense, useMemo } from 'react';
import { api, take, whole } from '../../../api/client';
import { secondsUntil, useServerNow } from '../../../api/clock';
import type { Message } from '../../../api/stream/message';
import { shareStream } from '../../../api/stream/sharedStream';
import { Duration } from '../../../ui/signs/Duration';
import { Sign } from '../../../ui/signs/Sign';
import * as m from '#messages';
import type { AroundWall as Around } from '../../live/laterParts';
import { useClassDebrief, type ClassDebrief } from '../classDebrief';
import { Shown } from '../shown/Shown';
import { SumPicture } from '../sum/SumPicture';
import { FitToScreen } from './FitToScreen';

/** Whose turn it is, from the back of the hall. */
function Reporting({ report }: { report: NonNullable<ClassDebrief['report']> }) {
  const now = useServerNow(500);
  if (report.now === null && report.next === null) return null;
  return (
    <p className="flex flex-wrap items-center gap-x-6 border-b-2 border-ink bg-sheet px-5 py-2 text-3xl">
      {report.now !== null && (
        <span className="flex items-center gap-3 font-bold">
          <Sign mark={report.now.mark} size={36} /> <span>{report.now.name}</span>
          {report.now.endsAt !== null && report.now.endsAt > now && (
            <span className="font-normal">
              <Duration seconds={secondsUntil(report.now.endsAt, now)} />
            </span>
          )}
        </span>
      )}
      {report.next !== null && (
        <span className="text-soft">
          {report.now === null
            ? m.wall_firstUp({ group: report.next.name })
            : m.wall_nextUp({ group: report.next.name })}
        </span>
      )}
    </p>
  );
}

/** A quick question, and what was answered once that is shown. */
function Asked({ question }: { question: NonNullable<ClassDebrief['question']> }) {
  if (question.sum !== null) return <SumPicture sum={question.sum} />;
  return (
    <>
      <p className="text-[1.5em] leading-tight font-semibold wrap-anywhere">{question.text}</p>
      <ul className="mt-[0.8em] space-y-[0.4em]">
        {question.choices.map((choice) => (
          <li key={choice} className="border-2 border-ink bg-sheet px-[0.6em] py-[0.2em] wrap-anywhere">
            {choice}
          </li>
        ))}
      </ul>
    </>
  );
}

/** What a class page hears and asks. */
function useWall(token: string) {
  return useMemo(() => {
    const path = { params: { path: { token } } };
    return {
      ask: async () => whole(await take(api.GET('/api/class-page/{token}/debrief', path))),
      hear: shareStream<Message<'DebriefMessage'> | Message<'DebriefHint'>>(() =>
        take(api.GET('/api/class-page/{token}/stream', path)),
      ),
    };
  }, [token]);
}

export const AroundWall: Around = ({ token, children }) => {
  const { ask, hear } = useWall(token);
  const { report, shown, called, question } = useClassDebrief(ask, hear, token);
  return (
    <>
      {report !== null && <Reporting report={report} />}
      {called !== null && (
        <p role="status" className="bg-ink px-5 py-2 text-6xl font-bold text-ground">
          {called.name}
        </p>
      )}
      {shown === null ? (
        question === null ? (
          children
        ) : (
          <FitToScreen columns={1}>
            <Asked question={question} />
          </FitToScreen>
        )
      ) : (
        <FitToScreen columns={shown.pieces.length > 1 || shown.pieces.some((piece) => piece.sum !== null) ? 1 : 2}>
          <Suspense fallback={null}>
            <Shown shown={shown} mediaAt={(id) => `/api/class-page/${token}/shown/media/${id}`} heading="h1" />
          </Suspense>
        </FitToScreen>
      )}
    </>
  );
};
