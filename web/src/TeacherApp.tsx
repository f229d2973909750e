import { QueryClientProvider, type QueryClient } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense, useEffect, type ComponentType, type ReactNode } from 'react';
import { Route, Routes } from 'react-router';
import { api } from './api/client';
import { letTimePass } from './api/clock';
import { useLine } from './api/line';
import { SignedIn } from './areas/account/SignedIn';
import { Today } from './areas/live/Today';
import { ClassesPage } from './areas/roster/ClassesPage';
import { replayEarlyInput } from './ui/later/replayEarlyInput';
import { LineNote } from './ui/page/LineNote';
import { MessagesProvider } from './ui/page/messages';
import { Nowhere } from './ui/page/Nowhere';
import { useCutSaid } from './ui/useCutSaid';
import { useHydrated } from './ui/later/useHydrated';
import * as m from '#messages';

// The first page comes with the door; each other one when it is gone to.
const AccountPage = lazy(() => import('./areas/account/AccountPage').then((file) => ({ default: file.AccountPage })));
const ForgottenPage = lazy(() => import('./areas/account/Outside').then((file) => ({ default: file.ForgottenPage })));
const NewPasswordPage = lazy(() =>
  import('./areas/account/Outside').then((file) => ({ default: file.NewPasswordPage })),
);
const InvitationPage = lazy(() =>
  import('./areas/roster/InvitationPage').then((file) => ({ default: file.InvitationPage })),
);
const ClassPage = lazy(() => import('./areas/roster/ClassPage').then((file) => ({ default: file.ClassPage })));
const ClassLessons = lazy(() => import('./areas/lesson/ClassLessons').then((file) => ({ default: file.ClassLessons })));
const DeskPage = lazy(() => import('./areas/grouping/desk/DeskPage').then((file) => ({ default: file.DeskPage })));
const DeletedPage = lazy(() => import('./areas/lesson/DeletedPage').then((file) => ({ default: file.DeletedPage })));
const CupboardPage = lazy(() =>
  import('./areas/materials/cupboard/CupboardPage').then((file) => ({ default: file.CupboardPage })),
);
const OriginalPage = lazy(() =>
  import('./areas/materials/cupboard/CupboardPage').then((file) => ({ default: file.OriginalPage })),
);
const WallPage = lazy(() => import('./areas/debrief/wall/DebriefWall').then((file) => ({ default: file.WallPage })));
const SlipsPage = lazy(() => import('./areas/materials/paper/SlipsPage').then((file) => ({ default: file.SlipsPage })));
const PlanPage = lazy(() => import('./areas/materials/paper/PlanPage').then((file) => ({ default: file.PlanPage })));
const TermPage = lazy(() => import('./areas/record/term/TermPage').then((file) => ({ default: file.TermPage })));
const TermLink = lazy(() => import('./areas/record/term/TermLink').then((file) => ({ default: file.TermLink })));
const OpenLesson = lazy(() =>
  import('./areas/materials/lessonFile/OpenLesson').then((file) => ({ default: file.OpenLesson })),
);
const OpenClass = lazy(() =>
  import('./areas/record/classFile/OpenClass').then((file) => ({ default: file.OpenClass })),
);
const LessonPage = lazy(() => import('./areas/dryrun/LessonPage').then((file) => ({ default: file.LessonPage })));

const probeEvery = 2_000;

/** While the line is down it is asked again and again whether it is back: nothing else would find out. */
function useProbe() {
  const line = useLine();
  useEffect(() => {
    if (line !== 'down') return undefined;
    const timer = setInterval(() => void api.GET('/api/staff/me'), probeEvery);
    return () => clearInterval(timer);
  }, [line]);
}

/** Replays early input once React has hydrated what the server rendered. */
function AfterHydration() {
  const isFromServer = useHydrated();
  useEffect(() => {
    if (!isFromServer) return;
    letTimePass();
    replayEarlyInput();
  }, [isFromServer]);
  return null;
}

function Soon({ children }: { children: ReactNode }) {
  useCutSaid();
  useProbe();
  return (
    <>
      <LineNote slow={m.common_lineSlow()} down={m.common_lineDown()} />
      <Suspense fallback={<p className="p-8 text-soft">{m.common_loading()}</p>}>
        {children}
        <AfterHydration />
      </Suspense>
    </>
  );
}

/** What is there for a teacher who is signed in. */
function Inside() {
  return (
    <SignedIn>
      <Routes>
        <Route path="/" element={<ClassesPage today={<Today />} more={<OpenClass />} />} />
        <Route
          path="/classes/:id"
          element={
            <ClassPage
              lessons={(classId, hasStudents) => (
                <div className="relative">
                  <TermLink classId={classId} />
                  <ClassLessons classId={classId} hasStudents={hasStudents} />
                  <OpenLesson classId={classId} />
                </div>
              )}
            />
          }
        />
        <Route path="/classes/:id/term" element={<TermPage />} />
        <Route path="/groupings/:id" element={<DeskPage />} />
        <Route path="/account" element={<AccountPage />} />
        <Route path="/lessons/:id" element={<LessonPage />} />
        <Route path="/rounds/:id/slips" element={<SlipsPage />} />
        <Route path="/rounds/:id/plan" element={<PlanPage />} />
        <Route path="/cupboard" element={<CupboardPage />} />
        <Route path="/deleted" element={<DeletedPage />} />
        <Route path="/cupboard/:id" element={<OriginalPage />} />
        <Route path="*" element={<Nowhere />} />
      </Routes>
    </SignedIn>
  );
}

/**
 * The teacher's half, in the browser and where the server renders its first view.
 *
 * @param router how it knows where it is
 */
export function TeacherApp({
  queries,
  Router,
}: {
  queries: QueryClient;
  Router: ComponentType<{ children: ReactNode }>;
}) {
  return (
    <StrictMode>
      <QueryClientProvider client={queries}>
        <MessagesProvider>
          <Router>
            <Soon>
              <Routes>
                <Route path="/forgotten" element={<ForgottenPage />} />
                <Route path="/password/:token" element={<NewPasswordPage />} />
                <Route path="/invitation/:token" element={<InvitationPage />} />
                <Route path="/class-page/:token" element={<WallPage />} />
                <Route path="*" element={<Inside />} />
              </Routes>
            </Soon>
          </Router>
        </MessagesProvider>
      </QueryClientProvider>
    </StrictMode>
  );
}
