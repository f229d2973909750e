import { expect, type APIRequestContext, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import type { components } from '../web/src/api/generated';
import { supervisor, serverLog } from './support/machine';
import { student, teacher } from './support/people';
import { readyLesson } from './support/plan';
import { openStream, rawRequest } from './support/raw';
import { test } from './support/test';

type StreamView = components['schemas']['StreamView'];

async function addressOf(api: APIRequestContext, who: 'staff' | 'student'): Promise<string> {
  const answer = await api.get(`/api/${who}/stream`);
  expect(answer.ok()).toBe(true);
  return ((await answer.json()) as StreamView).address;
}

const host = new URL(process.env.FH_BASE ?? 'http://127.0.0.1:8580').host;
/** nginx's workers: one that died was replaced by another. */
const workers = () => execFileSync('pgrep', ['-P', supervisor('pid', 'nginx').trim()], { encoding: 'utf8' });

async function say(t: Page, lesson: string, text: string): Promise<void> {
  const answer = await t.request.post(`/api/staff/lessons/${lesson}/commands`, {
    data: { kind: 'say', text },
    headers: { 'Idempotency-Key': `doors-${Math.random().toString(36).slice(2, 12)}` },
  });
  expect(answer.ok(), await answer.text()).toBe(true);
}

test('nobody hears what is not for them, whatever they ask for', async ({ browser }) => {
  const t = await teacher(browser);
  const lesson = await readyLesson(t, { name: 'Doors', students: ['Ada Lund', 'Ben Oduya'], groups: ['Tide', 'Ebb'] });
  const ada = await student(browser, lesson.doorWord, 'Ada Lund');
  const ben = await student(browser, lesson.doorWord, 'Ben Oduya');
  const [adas, bens, staffs] = await Promise.all([
    addressOf(ada.page.request, 'student'),
    addressOf(ben.page.request, 'student'),
    addressOf(t.request, 'staff'),
  ]);

  await test.step('an address of another channel, a changed signature, an end put off, a hash sign: all refused', async () => {
    const [, , end = '', sign = '', channel = ''] = adas.split('/');
    const theirs = bens.split('/')[4] ?? '';
    for (const path of [
      `/stream/${end}/${sign}/${theirs}`,
      `/stream/${String(Number(end) + 300)}/${sign}/${channel}`,
      `/stream/${end}/${'A'.repeat(22)}/${channel}`,
      `/stream/${end}/${sign}/${theirs}#/${channel}`,
      `/stream/${end}/${sign}/${channel},${theirs}`,
      `/stream/student/staff.${lesson.id}#/student.${lesson.students[0]?.id ?? ''}`,
      `/stream/`,
    ]) {
      const answer = await rawRequest([
        `GET ${path} HTTP/1.1`,
        `Host: ${host}`,
        'Accept: text/event-stream',
        'Last-Event-ID: 0:0',
      ]);
      expect(answer.split('\r\n')[0], path).toContain('403');
    }
    // Cut at the hash sign it is Ada's own address: what is signed is what is heard.
    const cut = await rawRequest([`GET ${adas}#/${theirs} HTTP/1.1`, `Host: ${host}`, 'Accept: text/event-stream']);
    expect(cut).toContain('200 OK');
  });

  await test.step('another page of the web may not listen, and no header says it might', async () => {
    const stream = await openStream(adas, { Origin: 'https://elsewhere.example' });
    expect(stream.status).toBe(403);
    expect(Object.keys(stream.headers).filter((name) => name.startsWith('access-control'))).toEqual([]);
  });

  await test.step('what is said to one is heard by one, and what is for all by all', async () => {
    const [one, two, three] = await Promise.all([openStream(adas), openStream(bens), openStream(staffs)]);
    await say(t, lesson.id, 'two minutes more');
    for (const stream of [one, two]) await expect.poll(stream.text).toContain('two minutes more');
    await expect.poll(three.text).toContain(lesson.id);
    for (const stream of [one, two, three]) stream.stop();
  });

  await test.step('a name set free: its open stream is closed and hears nothing any more', async () => {
    const stream = await openStream(adas);
    const id = lesson.students.find((one) => one.name === 'Ada Lund')?.id ?? '';
    expect((await t.request.post(`/api/staff/students/${id}/free`)).status()).toBe(204);
    await expect.poll(stream.closed).toBe(true);
    await expect(ada.page.getByRole('heading', { name: 'Which class?' })).toBeVisible();
    const again = await openStream(adas);
    await say(t, lesson.id, 'only for those who are in');
    const bensStream = await openStream(bens, { 'Last-Event-ID': '0:0' });
    await expect.poll(() => again.text() + stream.text()).not.toContain('only for those');
    again.stop();
    bensStream.stop();
  });

  await test.step('a teacher who signs out hears nothing any more', async () => {
    const other = await teacher(browser);
    const address = await addressOf(other.request, 'staff');
    const stream = await openStream(address);
    expect((await other.request.post('/api/staff/sign-out')).status()).toBe(204);
    await expect.poll(stream.closed).toBe(true);
    const before = stream.text();
    await say(t, lesson.id, 'after the sign-out');
    expect(stream.text()).toBe(before);
  });
});

test('strangers at the stream harm nobody, and pages live on without PHP', async ({ browser }) => {
  test.slow();
  const t = await teacher(browser);
  const lesson = await readyLesson(t, { name: 'Crowd', students: ['Ada Lund'], groups: ['Tide'] });
  const ada = await student(browser, lesson.doorWord, 'Ada Lund');
  const address = await addressOf(ada.page.request, 'student');
  const stream = await openStream(address);
  const before = workers();

  await test.step('2,000 strangers at once are refused, and no stream ends', async () => {
    const statuses = new Map<number, number>();
    const agent = new http.Agent({ maxSockets: 400 });
    await Promise.all(
      Array.from(
        { length: 2_000 },
        (_, i) =>
          new Promise<void>((done) => {
            const request = http.request(
              new URL(`/stream/1999999999/${'B'.repeat(22)}/${i.toString(16).padStart(32, '0')}`, `http://${host}`),
              { agent, headers: { Accept: 'text/event-stream' } },
              (response) => {
                statuses.set(response.statusCode ?? 0, (statuses.get(response.statusCode ?? 0) ?? 0) + 1);
                response.resume();
                response.on('close', done);
              },
            );
            request.on('error', () => done());
            request.end();
          }),
      ),
    );
    agent.destroy();
    expect(statuses.get(403)).toBe(2_000);
    expect(stream.closed()).toBe(false);
  });

  await test.step('PHP gone: pages reconnect to their streams all the same', async () => {
    supervisor('stop', 'application', 'php-fpm');
    try {
      for (let i = 0; i < 40; i++) {
        const again = await openStream(address);
        expect(again.status).toBe(200);
        again.stop();
      }
    } finally {
      supervisor('start', 'application', 'php-fpm');
    }
    expect(stream.closed()).toBe(false);
    expect(workers()).toBe(before);
    await expect
      .poll(async () => (await t.request.get('/api/staff/me')).status(), { message: 'PHP is back' })
      .toBe(200);
    await say(t, lesson.id, 'still here');
    await expect.poll(stream.text).toContain('still here');
  });
});

test('another page of the same machine changes nothing, however the address is spelt', async ({ browser }) => {
  const t = await teacher(browser);
  const { id, name } = (
    (await (await t.request.get('/api/staff/classes')).json()) as { id: string; name: string }[]
  )[0] ?? {
    id: '',
    name: '',
  };
  const elsewhere = http.createServer((_, response) => {
    response.setHeader('Content-Type', 'text/html');
    response.end('<title>elsewhere</title>');
  });
  await new Promise<void>((done) => elsewhere.listen(0, '127.0.0.1', done));
  try {
    const page = await t.context().newPage();
    await page.goto(`http://127.0.0.1:${String((elsewhere.address() as AddressInfo).port)}/`);
    await page.evaluate(
      async ([base, path]) => {
        const paths = [path, path.replace('/api', '/%61pi'), path.replace('/api/staff', '/api/%73taff'), `/.${path}`];
        for (const one of paths) {
          for (const type of ['text/plain', 'application/x-www-form-urlencoded', 'application/json']) {
            for (const method of ['POST', 'PATCH']) {
              await fetch(base + one, {
                method,
                mode: type === 'application/json' ? 'cors' : 'no-cors',
                credentials: 'include',
                headers: { 'Content-Type': type },
                body: JSON.stringify({ name: 'Taken over' }),
              }).catch(() => undefined);
            }
          }
        }
      },
      [`http://${host}`, `/api/staff/classes/${id}`] as const,
    );
    const now = (await (await t.request.get(`/api/staff/classes/${id}`)).json()) as { name: string };
    expect(now.name).toBe(name);
    for (const path of [`/api/staff/classes/${id}`, `/%61pi/staff/classes/${id}`]) {
      const answer = await t.request.fetch(path, {
        method: 'PATCH',
        data: { name: 'Taken over' },
        headers: { Origin: 'http://127.0.0.1:9', 'Sec-Fetch-Site': 'same-site' },
      });
      expect(answer.status(), path).toBe(403);
    }
  } finally {
    elsewhere.close();
  }
});

test('what nginx says by itself is a problem too, and pages are not kept', async ({ request }) => {
  for (const page of ['/', '/student', '/classes/nothing']) {
    const answer = await request.get(page);
    expect(answer.headers()['cache-control'], page).toBe('no-cache');
    expect(answer.headers()['strict-transport-security'], page).toBeUndefined();
  }
  const safe = await request.get('/', { headers: { 'X-Forwarded-Proto': 'https' } });
  expect(safe.headers()['strict-transport-security']).toContain('max-age');
  const long = await request.post('/api/student/join', { data: { doorWord: 'x'.repeat(5_000) } });
  expect([long.status(), long.headers()['content-type']]).toEqual([413, 'application/problem+json']);
  const overridden = await request.fetch('/api/staff/classes', {
    method: 'POST',
    headers: { 'X-HTTP-Method-Override': 'DELETE' },
  });
  expect(overridden.status()).toBe(401);
});

test('what lets somebody in never stands in the log, whatever goes wrong with it', async ({ request }) => {
  const secrets = ['s3cretpass', 's3cretpage', 's3cretinvitation', 's3cretpassword', 's3cretstream'];
  const token = (of: string) => `${of}${'x'.repeat(60)}`;
  const paths = [
    `/student?pass=${token('s3cretpass')}`,
    `/class-page/${token('s3cretpage')}`,
    `/api/class-page/${token('s3cretpage')}`,
    `/invitation/${token('s3cretinvitation')}`,
    `/api/account/invitations/${token('s3cretinvitation')}`,
    `/password/${token('s3cretpassword')}`,
    `/stream/1/${token('s3cretstream')}/x`,
  ];
  for (const path of paths) {
    // More than may be sent there: the web server says so in its log, with the address.
    await request.post(path, { data: 'x'.repeat(300_000) }).catch(() => undefined);
  }
  for (const page of ['/student?pass=x', '/class-page/x', '/invitation/x', '/password/x'])
    expect((await request.get(page)).headers()['referrer-policy'], page).toBe('strict-origin');
  expect((await request.get('/classes/x')).headers()['referrer-policy']).toBe('same-origin');
  await request.post('/api/staff/classes', { data: 'x'.repeat(2_000_000) }).catch(() => undefined);
  const log = serverLog();
  expect(log).toContain('/api/staff/classes');
  for (const secret of secrets) expect(log).not.toContain(secret);
});
