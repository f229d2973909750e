import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Route, Routes } from 'react-router';
import { isPassing } from './api/problem';
import { AccountPage } from './areas/account/AccountPage';
import { ForgottenPage, NewPasswordPage } from './areas/account/Outside';
import { SignedIn } from './areas/account/SignedIn';
import { DeskPage } from './areas/grouping/desk/DeskPage';
import { ClassLessons } from './areas/lesson/ClassLessons';
import { LessonPage } from './areas/live/LessonPage';
import { Today } from './areas/live/Today';
import { ClassesPage } from './areas/roster/ClassesPage';
import { ClassPage } from './areas/roster/ClassPage';
import { InvitationPage } from './areas/roster/InvitationPage';
import './styles.css';
import { MessagesProvider } from './ui/messages';

const queries = new QueryClient({
  defaultOptions: { queries: { retry: (times, error) => isPassing(error) && times < 5, staleTime: 1_000 } },
});

/** What is there for a teacher who is signed in. */
function Inside() {
  return (
    <SignedIn>
      <Routes>
        <Route path="/" element={<ClassesPage today={<Today />} />} />
        <Route
          path="/classes/:id"
          element={
            <ClassPage
              lessons={(classId, hasStudents) => <ClassLessons classId={classId} hasStudents={hasStudents} />}
            />
          }
        />
        <Route path="/groupings/:id" element={<DeskPage />} />
        <Route path="/account" element={<AccountPage />} />
        <Route path="/lessons/:id" element={<LessonPage />} />
        <Route path="*" element={<ClassesPage today={<Today />} />} />
      </Routes>
    </SignedIn>
  );
}

const page = document.getElementById('page');
if (page !== null) {
  createRoot(page).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <MessagesProvider>
          <BrowserRouter>
            <Routes>
              <Route path="/forgotten" element={<ForgottenPage />} />
              <Route path="/password/:token" element={<NewPasswordPage />} />
              <Route path="/invitation/:token" element={<InvitationPage />} />
              <Route path="*" element={<Inside />} />
            </Routes>
          </BrowserRouter>
        </MessagesProvider>
      </QueryClientProvider>
    </StrictMode>,
  );
}
