// What is put around a student's page while the class talks about its work.
import { Suspense, useCallback, useEffect, useState } from 'react';
import { api, take, whole } from '../../../api/client';
import { hear } from '../../../api/stream/studentStream';
import { Button } from '../../../ui/Button';
import { lazily, lazilyFrom } from '../../../ui/later/lazily';
import * as m from '#messages';
import type { AroundStudent } from '../../live/laterParts';
import { useClassDebrief } from '../classDebrief';

const loadShown = () => import('../shown/Shown').then((file) => ({ default: file.Shown }));
const Shown = lazily(loadShown);
const loadTurnLines = () => import('./TurnLines').then((file) => ({ default: file.TurnLines }));
const TurnLines = lazily(loadTurnLines);
const GalleryPage = lazilyFrom(
  () => import('./GalleryPage'),
  (file) => file.GalleryPage,
);
const Question = lazilyFrom(
  () => import('./Question'),
  (file) => file.Question,
);

const ask = async () => whole(await take(api.GET('/api/student/debrief')));

export const AroundPage: AroundStudent = ({ now, children }) => {
  // Also after a lesson, and while there is none, a gallery may be open.
  const debrief = useClassDebrief(ask, hear, now.segment === null ? '' : (now.lesson ?? ''));
  const [inGallery, setInGallery] = useState(false);
  const leaveGallery = useCallback(() => setInGallery(false), []);
  if (inGallery && debrief.gallery === null) setInGallery(false);
  const [away, setAway] = useState(false);
  const isBack = now.moments?.outAt != null && (now.moments.calledAt !== null || now.segment?.kind !== 'round');
  useEffect(() => {
    // Their scripts are here before anything is shown.
    if (isBack) Promise.all([loadTurnLines(), loadShown()]).catch(() => undefined);
  }, [isBack]);
  const { shown, called } = debrief;
  // Someone who went back to their own worksheet sees the next work that is shown.
  if (shown === null && away) setAway(false);
  return (
    <>
      {shown !== null && (
        <div className="-mx-5 -mt-5 mb-5 flex flex-wrap items-center gap-3 bg-ink px-5 py-2 text-ground">
          <p className="min-w-0 flex-1 wrap-anywhere">{m.student_debrief_shows({ name: shown.by })}</p>
          <Button className="text-ink" onClick={() => setAway(!away)}>
            {away ? m.student_debrief_look() : m.student_debrief_away()}
          </Button>
        </div>
      )}
      {(called !== null || debrief.report !== null) && (
        <Suspense>
          <TurnLines debrief={debrief} me={now.id} group={now.group?.id} />
        </Suspense>
      )}
      {debrief.question !== null && (
        <Suspense>
          <Question key={debrief.question.id} question={debrief.question} />
        </Suspense>
      )}
      {shown !== null && !away ? (
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
