// Asks the server, with one key a press and answers that came early.
import createClient from 'openapi-fetch';
import type { components, paths } from './generated';
import { takeEarly } from './early';
import { pace, paceIn } from './pace';
import { followed, isDown } from './line';
import { toProblem } from './problem';

export type Schema = components['schemas'];

/** What the server sends is whole; fields may be left out only of what is sent to it. */
export type Whole<T> = T extends (infer One)[]
  ? Whole<One>[]
  : T extends object
    ? { [Name in keyof T]-?: Whole<T[Name]> }
    : T;
export const whole = <T>(sent: T) => sent as Whole<T>;

const slowest = 15_000;

let drops = false;

/**
 * What is pressed while the line is down is dropped, and said to be: it is never sent, now or later. For pages whose
 * presses mean the moment they are made in; what students write is kept instead, and sent when the line is back.
 */
export function dropPressesWhileDown(): void {
  drops = true;
}

const creates = /\/(classes|lessons|originals|groupings|side-rooms|copy|rules|rounds|invitations|variants|questions)$/;
/** Two presses within so long are one; milliseconds. */
const onePress = 2_000;
const recent = new Map<string, { key: string; until: number }>();

/** What creates something has a key, so that two quick presses, or one sent again, create one thing. */
async function withKey(request: Request): Promise<Request> {
  if (request.method !== 'POST' || request.headers.has('Idempotency-Key')) return request;
  if (!creates.test(new URL(request.url).pathname)) return request;
  const about = `${request.url}\n${await request.clone().text()}`;
  const now = Date.now();
  for (const [old, { until }] of recent) if (until < now) recent.delete(old);
  const { key } = recent.get(about) ?? { key: freshKey() };
  recent.set(about, { key, until: now + onePress });
  const keyed = new Request(request);
  keyed.headers.set('Idempotency-Key', key);
  return keyed;
}

/** Never rejects for want of a network: no answer becomes a problem with status 0. */
export async function patientFetch(asked: Request): Promise<Response> {
  const request = drops ? await withKey(asked) : asked;
  if (drops && request.method !== 'GET' && isDown()) return Response.json({}, { status: 599 });
  const told = followed();
  try {
    const answer =
      (await takeEarly(request)) ?? (await fetch(request, { signal: AbortSignal.timeout(slowest), cache: 'no-store' }));
    pace.note(paceIn(answer.headers));
    told(true);
    return answer;
  } catch {
    told(false);
    return Response.json({}, { status: 599 });
  }
}

/** What is sent may be large and the line slow. */
export const longFetch = (request: Request) =>
  fetch(request, { signal: AbortSignal.timeout(90_000), cache: 'no-store' }).catch(() =>
    Response.json({}, { status: 599 }),
  );

export const api = createClient<paths>({ baseUrl: '/', fetch: patientFetch });

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** The data of an answer, or its problem thrown. */
export async function take<T>(asked: Promise<Answer<T>>): Promise<T> {
  const { data, error, response } = await asked;
  if (!response.ok) {
    throw toProblem(response.status === 599 ? 0 : response.status, error);
  }
  return data as T;
}

export function freshKey(): string {
  // randomUUID needs a secure context, and a classroom server on the local net has none.
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}
