import './styles.css';
import { earlyStatus, nobody } from './api/early';
import { drawer } from './ui/drawer';
import { loadType } from './ui/later/loadType';

/** Pages that are there for somebody who is not signed in. */
const outside = /^\/(forgotten|password|invitation|class-page)\b/;

const inside = () => import('./staff');
const door = () => import('./door');

/** @returns whether Enter has been pressed since then: the sign-in is visible before it can be sent */
function enterPressed(): () => boolean {
  let pressed = false;
  const hear = (event: KeyboardEvent) => {
    pressed ||= event.key === 'Enter';
  };
  window.addEventListener('keydown', hear);
  return () => {
    window.removeEventListener('keydown', hear);
    return pressed;
  };
}

/**
 * Whoever is not signed in gets the sign-in, and nothing else to wait for; what comes after it comes while they type.
 * Who was signed in here before is taken to be so while it is asked.
 */
async function begin(page: HTMLElement): Promise<void> {
  const entered = enterPressed();
  const isRendered = 'first' in document.documentElement.dataset;
  const isNotAsked = isRendered || outside.test(window.location.pathname);
  const first = isNotAsked || drawer('signedIn').load() !== null ? inside() : null;
  const status = isNotAsked ? null : await earlyStatus('/api/staff/me');
  if (status !== nobody) {
    (await (first ?? inside())).begin(page);
  } else {
    delete window.early; // what a stranger was answered is no answer to who signs in
    (await door()).open(page, entered, (root, me) => void inside().then((staff) => staff.begin(root, me)));
    void inside();
  }
  document.documentElement.classList.remove('inside');
  loadType();
}

const page = document.getElementById('page');
if (page !== null) void begin(page);
