// What benchmarks share: asking the application, listening to it, figures.
import { readFileSync } from 'node:fs';
import http from 'node:http';
import ts from 'typescript';

/** A file of the pages' own code, which imports nothing but types: how a page does something stands there alone. */
export async function ofPages(path) {
  const code = readFileSync(new URL(`../web/src/${path}`, import.meta.url), 'utf8');
  const asModule = ts.transpileModule(code, { compilerOptions: { module: ts.ModuleKind.ESNext } }).outputText;
  return import(`data:text/javascript,${encodeURIComponent(asModule)}`);
}
const page = await ofPages('api/pace.ts');

export const { Pace } = page;
/** The pace an answer tells, in milliseconds; 0: none. */
export const paceOf = ({ headers }) => page.paceIn({ get: (name) => headers[name.toLowerCase()] ?? null });

export const base = new URL(process.env.FH_BASE ?? 'http://127.0.0.1:8680');

const agent = new http.Agent({ keepAlive: true, maxSockets: 400 });
export const wait = (ms) => new Promise((done) => setTimeout(done, ms));

/** Asks the application; the answer's JSON, its status and cookies. `raw` goes out as it is. */
export function ask(method, path, { cookie, body, raw, headers = {} } = {}) {
  const text = raw ?? (body === undefined ? undefined : JSON.stringify(body));
  return new Promise((done, fail) => {
    const request = http.request(
      new URL(path, base),
      {
        method,
        agent,
        headers: {
          ...(text === undefined
            ? {}
            : { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(text) }),
          ...(cookie === undefined ? {} : { Cookie: cookie }),
          ...headers,
        },
      },
      (response) => {
        let got = '';
        response.setEncoding('utf8');
        response.on('data', (part) => (got += part));
        response.on('end', () => {
          const cookies = (response.headers['set-cookie'] ?? []).map((one) => one.split(';')[0]).join('; ');
          done({
            status: response.statusCode,
            headers: response.headers,
            cookies,
            json: got.startsWith('{') || got.startsWith('[') ? JSON.parse(got) : null,
          });
        });
      },
    );
    request.on('error', (error) => {
      // The server let go of an idle connection in the moment it was used again: nothing was asked yet.
      if (request.reusedSocket && error.code === 'ECONNRESET') done(ask(method, path, { cookie, body, raw, headers }));
      else fail(error);
    });
    request.end(text);
  });
}

export async function must(...words) {
  const answer = await ask(...words);
  if (answer.status >= 300) throw new Error(`${words[0]} ${words[1]}: ${answer.status} ${JSON.stringify(answer.json)}`);
  return answer;
}

/** Listens to a stream; every event goes to `heard`. */
export function listen(path, cookie, heard) {
  return new Promise((done, fail) => {
    const request = http.request(
      new URL(path, base),
      { headers: { Cookie: cookie, Accept: 'text/event-stream' } },
      (response) => {
        if (response.statusCode !== 200) {
          fail(new Error(`The stream answered ${response.statusCode}.`));
          return;
        }
        let rest = '';
        response.setEncoding('utf8');
        response.on('data', (part) => {
          rest += part;
          const events = rest.split('\n\n');
          rest = events.pop() ?? '';
          for (const event of events) {
            const data = event.split('\n').find((line) => line.startsWith('data: '));
            if (data !== undefined) heard(JSON.parse(data.slice(6)));
          }
        });
        done(request);
      },
    );
    request.on('error', () => undefined);
    request.end();
  });
}

export const at = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN;
export function figures(values) {
  const sorted = [...values].sort((a, b) => a - b);
  return `median ${at(sorted, 0.5).toFixed(0)} ms, 99th percentile ${at(sorted, 0.99).toFixed(0)} ms, most ${at(sorted, 1).toFixed(0)} ms`;
}

/** Signed in as the demo's teacher: what to send with each request. */
export async function signedIn() {
  const { cookies } = await must('POST', '/api/staff/sign-in', {
    body: { email: 'teacher@larkmouth.example', password: 'harbour-lights' },
  });
  return { cookie: cookies };
}

const sheet = [
  { id: 'each', kind: 'each', text: 'What do you see?' },
  { id: 'together', kind: 'together', text: 'What do you all say?' },
];

/** A lesson with `students` in fours, or as said, and a sheet, to be sent out at once. */
export async function lessonOf(staff, name, students, { size = 4, blocks = sheet, rooms = 'meetingService' } = {}) {
  const names = Array.from({ length: students }, (_, i) => `Student ${String.fromCharCode(65 + (i % 26))} ${i + 1}`);
  const made = (await must('POST', '/api/staff/classes', { ...staff, body: { name, names: names.join('\n') } })).json;
  await must('PUT', `/api/staff/classes/${made.id}/room-source`, { ...staff, body: { kind: rooms } });
  const lesson = (
    await must('POST', `/api/staff/classes/${made.id}/lessons`, { ...staff, body: { title: name, minutes: 50 } })
  ).json;
  const round = lesson.round.id;
  await must('POST', `/api/staff/groupings/${lesson.floor.id}/deal`, {
    ...staff,
    body: { basedOn: 0, groups: Math.ceil(students / size), seed: 1 },
  });
  const pages = [{ id: 'page-1', title: '', blocks }];
  await must('POST', `/api/staff/rounds/${round}/originals`, { ...staff, body: { title: 'Sheet', basedOn: 0, pages } });
  await must('POST', `/api/staff/rounds/${round}/copies`, { ...staff, body: {} });
  await must('PATCH', `/api/staff/segments/${lesson.round.segmentId}`, { ...staff, body: { lookSeconds: 0 } });
  return { ...lesson, doorWord: made.doorWord };
}

let key = 0;
export const command = (staff, lesson, body) =>
  must('POST', `/api/staff/lessons/${lesson.id}/commands`, {
    ...staff,
    body,
    headers: { 'Idempotency-Key': `bench-press-${++key}`, Prefer: 'return=minimal' },
  });

/** Lets a student in, as if from an address of their own. */
export async function comeIn(lesson, name, n) {
  const { cookies } = await must('POST', '/api/student/join', {
    body: { doorWord: lesson.doorWord, name },
    headers: { 'X-Forwarded-For': `198.51.${n >> 8}.${n & 255}` },
  });
  const now = (await must('GET', '/api/student/now', { cookie: cookies })).json;
  const { address } = (await must('GET', '/api/student/stream', { cookie: cookies })).json;
  return { cookie: cookies, copy: now.group?.copies[0]?.id, text: '', address };
}

export const done = () => agent.destroy();
