// A token that Janus checks by itself: its end, what it is for, and a signature over both.
import { createHmac } from 'node:crypto';

/**
 * @param plugins  those a session may use
 * @param seconds  it opens sessions for so long
 * @returns "END,janus,PLUGIN…:SIGNATURE", as Janus's `token_auth_secret` wants it
 */
export function sessionToken(secret, plugins, seconds, now = Date.now()) {
  const what = [Math.floor(now / 1_000) + seconds, 'janus', ...plugins].join(',');
  return `${what}:${createHmac('sha1', secret).update(what).digest('base64')}`;
}
