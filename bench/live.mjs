// Call back to a lesson with many students listening: how long from the teacher's press to the event on each page.
import http from 'node:http';

const base = new URL(process.env.FH_BASE ?? 'http://127.0.0.1:8680');
const students = Number(process.env.FH_STUDENTS ?? 200);
const rounds = Number(process.env.FH_ROUNDS ?? 20);
const saveEvery = 2_000;

const agent = new http.Agent({ keepAlive: true, maxSockets: 400 });
const wait = (ms) => new Promise((done) => setTimeout(done, ms));

/** Asks the application; the answer's JSON, its status and cookies. */
function ask(method, path, { cookie, body, headers = {} } = {}) {
  const text = body === undefined ? undefined : JSON.stringify(body);
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
            cookies,
            json: got.startsWith('{') || got.startsWith('[') ? JSON.parse(got) : null,
          });
        });
      },
    );
    request.on('error', fail);
    request.end(text);
  });
}

async function must(...words) {
  const answer = await ask(...words);
  if (answer.status >= 300) throw new Error(`${words[0]} ${words[1]}: ${answer.status} ${JSON.stringify(answer.json)}`);
  return answer;
}

/** Listens to a stream; every event goes to `heard`. */
function listen(path, cookie, heard) {
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

const at = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN;
function figures(values) {
  const sorted = [...values].sort((a, b) => a - b);
  return `median ${at(sorted, 0.5).toFixed(0)} ms, 99th percentile ${at(sorted, 0.99).toFixed(0)} ms, most ${at(sorted, 1).toFixed(0)} ms`;
}

const signIn = await must('POST', '/api/staff/sign-in', {
  body: { email: 'teacher@larkmouth.example', password: 'harbour-lights' },
});
const staff = { cookie: signIn.cookies };
const names = Array.from({ length: students }, (_, i) => `Student ${String.fromCharCode(65 + (i % 26))} ${i + 1}`).join(
  '\n',
);
const made = (await must('POST', '/api/staff/classes', { ...staff, body: { name: 'Bench', names } })).json;
const lesson = (
  await must('POST', `/api/staff/classes/${made.id}/lessons`, { ...staff, body: { title: 'Bench', minutes: 50 } })
).json;
const round = lesson.round.id;
await must('POST', `/api/staff/groupings/${lesson.floor.id}/deal`, {
  ...staff,
  body: { basedOn: 0, groups: Math.ceil(students / 4), seed: 1 },
});
const blocks = [{ id: 'each', kind: 'each', text: 'What do you see?' }];
await must('PUT', `/api/staff/rounds/${round}/original`, { ...staff, body: { title: 'Sheet', basedOn: 0, blocks } });
await must('POST', `/api/staff/rounds/${round}/copies`, staff);
await must('PATCH', `/api/staff/lessons/${lesson.id}`, { ...staff, body: { lookSeconds: 0 } });

let key = 0;
const command = (body) =>
  must('POST', `/api/staff/lessons/${lesson.id}/commands`, {
    ...staff,
    body,
    headers: { 'Idempotency-Key': `bench-press-${++key}` },
  });
await command({ kind: 'sendOut' });

let pressed = 0;
let delays = [];
const heard = (message) => {
  if (message.kind === 'round' && message.moments.backAt !== null) delays.push(performance.now() - pressed);
};
const people = [];
const streams = [];
for (const { name } of lesson.students) {
  const { cookies } = await must('POST', '/api/student/join', {
    body: { code: made.code, name },
    headers: { 'X-Forwarded-For': `198.51.${people.length >> 8}.${people.length & 255}` },
  });
  const now = (await must('GET', '/api/student/now', { cookie: cookies })).json;
  people.push({ cookie: cookies, copy: now.group.copy, text: '' });
  const { address } = (await must('GET', '/api/student/stream', { cookie: cookies })).json;
  streams.push(await listen(address, cookies, heard));
}
console.log(`${students} students connected, ${Math.ceil(students / 4)} groups, ${rounds} call backs each time.`);

async function callBacks(title) {
  delays = [];
  const presses = [];
  for (let i = 0; i < rounds; i++) {
    await wait(400);
    pressed = performance.now();
    await command({ kind: 'callBack', seconds: 120 });
    presses.push(performance.now() - pressed);
    await wait(700);
    await command({ kind: 'keepWorking' });
  }
  console.log(
    `${title}\n  press to page: ${figures(delays)}; ${delays.length} of ${students * rounds} heard\n  the press itself: ${figures(presses)}`,
  );
}

await callBacks('Nobody writes:');

let writing = true;
const saves = [];
let failed = 0;
async function write(person, first) {
  await wait(first);
  while (writing) {
    const began = performance.now();
    const text = `${person.text}word `;
    const answer = await ask('PUT', `/api/student/copies/${person.copy}/slots/each`, {
      cookie: person.cookie,
      body: { save: crypto.randomUUID(), base: person.text, text },
    }).catch(() => ({ status: 0 }));
    if (answer.status === 200) {
      person.text = answer.json.text;
      saves.push(performance.now() - began);
    } else {
      failed++;
    }
    await wait(Math.max(0, saveEvery - (performance.now() - began)));
  }
}
const writers = people.map((person, i) => write(person, (i * saveEvery) / people.length));
await wait(3_000);
const [from, since] = [saves.length, performance.now()];
await callBacks('While every student saves once in two seconds:');
const rate = (saves.length - from) / ((performance.now() - since) / 1_000);
writing = false;
await Promise.all(writers);
console.log(`  saves: ${rate.toFixed(0)} a second, ${figures(saves)}; ${failed} failed`);
for (const stream of streams) stream.destroy();
agent.destroy();
