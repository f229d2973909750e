import { createRoot, type Root } from 'react-dom/client';
import type { Schema } from './api/client';
import { SignIn } from './areas/account/SignIn';

/** The sign-in, by itself. @param onSignedIn goes on in the same place */
export function open(page: HTMLElement, onSignedIn: (root: Root, me: Schema['Me']) => void): void {
  const root = createRoot(page);
  root.render(<SignIn onSignedIn={(me) => onSignedIn(root, me)} />);
}
