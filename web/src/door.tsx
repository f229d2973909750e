import { flushSync } from 'react-dom';
import { createRoot, type Root } from 'react-dom/client';
import type { Schema } from './api/client';
import { SignIn } from './areas/account/SignIn';

/**
 * The sign-in, by itself. It stood there already, and what was typed stays.
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
  // In one go: no letter is typed into what is about to go.
  flushSync(() => root.render(<SignIn typed={{ email, password }} onSignedIn={(me) => onSignedIn(root, me)} />));
  fields()[typingIn]?.focus();
  if (entered() && email !== '' && password !== '') page.querySelector('form')?.requestSubmit();
}
