import type { Schema } from '../../api/client';
import { toProblem } from '../../api/problem';

/** Signing in and out are the security layer's own addresses, outside the described API. */
async function post(path: string, body: object): Promise<Response> {
  const response = await fetch(path, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  }).catch(() => null);
  if (response?.ok !== true) throw toProblem(response?.status ?? 0, await response?.json().catch(() => undefined));
  return response;
}

export async function signIn(email: string, password: string): Promise<Schema['Me']> {
  return (await (await post('/api/staff/sign-in', { email, password })).json()) as Schema['Me'];
}

export async function signOut(): Promise<void> {
  await post('/api/staff/sign-out', {});
}
