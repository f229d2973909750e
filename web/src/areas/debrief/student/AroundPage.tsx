// What is put around a student's page while the class talks about its work.
import { Suspense, useCallback, useEffect, useState } from 'react';
import { api, take, whole } from '../../../api/client';
import { hear } from '../../../api/stream/studentStream';
import { Button } from '../../../ui/Button';
import { lazily, lazilyFrom } from '../../../ui/later/lazily';
import * as m from '#messages';
import type { AroundStudent } from '../../live/laterParts';
import { useClassDebrief, type ClassDebrief } from '../classDebrief';

const loadShown = () => import('../shown/Shown').then((file) => ({ default: file.Shown }));
const Shown = lazily(loadShown);
const GalleryPage = lazilyFrom(
  () => import('./GalleryPage'),
  (file) => file.GalleryPage,
);
const Question = lazilyFrom(
  () => import('./Question'),
  (file) => file.Question,
);

const ask = async () => whole(await take(api.GET('/api/student/debrief')));

/** Whose turn it is, for somebody of a group. */
function reportText({ report }: ClassDebrief, group: string | undefined): string | null {
  if (report === null || report.done) return null;
  const { now, next } = report;
  if (now !== null && now.id === group) return m.student_debrief_yours();
  if (next !== null && next.id === group)
    return now === null ? m.student_debrief_yoursFirst() : m.student_debrief_yoursNext({ group: now.name });
  return now === null ? null : m.student_debrief_listen({ group: now.name });
}

/** A line over the page that nobody misses. */
function Line({ text, strong }: { text: string; strong: boolean }) {
  return (
    <p
      role="status"
      className={`mb-5 border-2 border-ink p-4 text-2xl leading-tight font-semibold wrap-anywhere ${strong ? 'bg-attention text-on-accent' : 'bg-sheet'}`}
    >
      {text}
    </p>
  );
}

export const AroundPage: AroundStudent = ({ now, children }) => {
  // Also after a lesson, and while there is none, a gallery may be open.
  const debrief = useClassDebrief(ask, hear, now.segment === null ? '' : (now.lesson ?? ''));
  const [inGallery, setInGallery] = useState(false);
  const leaveGallery = useCallback(() => setInGallery(false), []);
  if (inGallery && debrief.gallery === null) setInGallery(false);
  const [away, setAway] = useState<number | null>(null);
  const isBack = now.moments?.outAt != null && (now.moments.calledAt !== null || now.segment?.kind !== 'round');
  useEffect(() => {
    // Its script is here before anything is shown.
    if (isBack) loadShown().catch(() => undefined);
  }, [isBack]);
  const { shown, called } = debrief;
  const [begun, setBegun] = useState<number | null>(null);
  // What is shown next is looked at again, also by whoever went back to their own sheet.
  if (shown === null && begun !== null) setBegun(null);
  if (shown !== null && begun === null) {
    setBegun(debrief.revision);
    setAway(null);
  }
  const text = reportText(debrief, now.group?.id);
  const mine = now.group !== null && debrief.report?.now?.id === now.group.id;
  return (
    <>
      {shown !== null && (
        <div className="-mx-5 -mt-5 mb-5 flex flex-wrap items-center gap-3 bg-ink px-5 py-2 text-ground">
          <p className="min-w-0 flex-1 wrap-anywhere">{m.student_debrief_shows({ name: shown.by })}</p>
          <Button className="text-ink" onClick={() => setAway(away === null ? debrief.revision : null)}>
            {away === null ? m.student_debrief_away() : m.student_debrief_look()}
          </Button>
        </div>
      )}
      {called !== null && called.student === now.id && <Line text={m.student_debrief_called()} strong />}
      {text !== null && <Line text={text} strong={mine} />}
      {debrief.question !== null && (
        <Suspense>
          <Question key={debrief.question.id} question={debrief.question} />
        </Suspense>
      )}
      {shown !== null && away === null ? (
        <Suspense fallback={<p className="text-soft">{m.student_loading()}</p>}>
          <Shown shown={shown} mediaAt={(id) => `/api/student/shown/media/${id}`} heading="h1" />
        </Suspense>
      ) : inGallery ? (
        <Suspense fallback={<p className="text-soft">{m.student_loading()}</p>}>
          <GalleryPage onBack={leaveGallery} />
        </Suspense>
      ) : (
        <>
          {debrief.gallery !== null && (
            <Button className="mb-6 min-h-14 w-full border-2 text-lg font-semibold" onClick={() => setInGallery(true)}>
              {m.student_gallery_open()}
            </Button>
          )}
          {children}
        </>
      )}
    </>
  );
};
