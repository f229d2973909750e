import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { StudentApp } from './areas/live/student/StudentApp';
import './styles.css';

const page = document.getElementById('page');
if (page !== null) {
  createRoot(page).render(
    <StrictMode>
      <StudentApp />
    </StrictMode>,
  );
}
