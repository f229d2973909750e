import { flushSync } from 'react-dom';
import { createRoot, type Root } from 'react-dom/client';
import type { Schema } from './api/client';
import { SignIn } from './areas/account/SignIn';

/**
 * Replaces the sign-in that is part of the page, and keeps what was typed.
 *
 * @param entered whether Enter has been pressed meanwhile
 * @param onSignedIn goes on in the same place
 */
export function open(
  page: HTMLElement,
  entered: () => boolean,
  onSignedIn: (root: Root, me: Schema['Me']) => void,
): void {
  const fields = () => [...page.querySelectorAll('input')];
  const [email = '', password = ''] = fields().map((field) => field.value);
  const typingIn = fields().findIndex((field) => field === document.activeElement);
  const root = createRoot(page);
  // Synchronously, so that nothing is typed into a field that is about to be replaced.
  flushSync(() => root.render(<SignIn typed={{ email, password }} onSignedIn={(me) => onSignedIn(root, me)} />));
  fields()[typingIn]?.focus();
  if (entered() && email !== '' && password !== '') page.querySelector('form')?.requestSubmit();
}
