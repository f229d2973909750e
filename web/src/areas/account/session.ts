// Signing in and out.
import { drawer } from '../../ui/drawer';
import { forgetTyped } from '../../ui/useKept';
import { api, take, type Schema } from '../../api/client';

export function signIn(email: string, password: string): Promise<Schema['Me']> {
  return take(api.POST('/api/staff/sign-in', { body: { email, password } }));
}

export async function signOut(): Promise<void> {
  await take(api.POST('/api/staff/sign-out'));
  forgetTyped();
  drawer('signedIn').clear();
}
