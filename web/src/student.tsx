import { StrictMode } from 'react';
import { flushSync } from 'react-dom';
import { createRoot } from 'react-dom/client';
import { earlyStatus, nobody } from './api/early';
import { AroundPage } from './areas/debrief/student/AroundPage';
import { StudentApp } from './areas/live/student/StudentApp';
import './styles.css';
import { keepAssets } from './keepAssets';
import { loadType } from './ui/later/loadType';

/**
 * The door stands there already: it stays until it is known whether this device is inside, and keeps what was typed.
 */
async function begin(page: HTMLElement): Promise<void> {
  const status = await earlyStatus('/api/student/now');
  const field = page.querySelector('input');
  const isTyping = field !== null && field === document.activeElement;
  const root = createRoot(page);
  // In one go: no letter is typed into what is about to go.
  flushSync(() => {
    root.render(
      <StrictMode>
        <StudentApp outside={status === nobody} typed={field?.value ?? ''} Around={AroundPage} />
      </StrictMode>,
    );
  });
  if (isTyping) {
    const again = page.querySelector('input');
    again?.focus();
    again?.setSelectionRange(again.value.length, again.value.length);
  }
  document.documentElement.classList.remove('inside');
  loadType();
  keepAssets();
}

const page = document.getElementById('page');
if (page !== null) void begin(page);
