// Rooms of our own, tried by somebody who does not belong there: by hand, past the pages.
import { expect, request as requests, type APIRequestContext, type Page } from '@playwright/test';
import type { components } from '../web/src/api/generated';
import { Intruder } from './support/intruder';
import { teacher } from './support/people';
import { readyLesson } from './support/plan';
import { test } from './support/test';

type Ticket = components['schemas']['RoomTicket'];
type Lesson = components['schemas']['LessonView'];

const REFUSED = 'refused 433'; // not on the room's list

interface Pupil {
  id: string;
  name: string;
  device: APIRequestContext;
  ticket: () => Promise<Ticket>;
}

async function pupils(base: string, lesson: Lesson): Promise<Pupil[]> {
  return Promise.all(
    lesson.students.map(async ({ id, name }) => {
      const device = await requests.newContext({ baseURL: base });
      const joined = await device.post('/api/student/join', { data: { doorWord: lesson.doorWord, name } });
      expect(joined.ok(), await joined.text()).toBe(true);
      return {
        id,
        name,
        device,
        ticket: async () => (await (await device.post('/api/student/room')).json()) as Ticket,
      };
    }),
  );
}

const give = (t: Page, lesson: Lesson, kind: string, more: object = {}) =>
  t.request.post(`/api/staff/lessons/${lesson.id}/commands`, {
    data: { kind, ...more },
    headers: { 'Idempotency-Key': crypto.randomUUID() },
  });

/** Groups of two are out, in rooms of our own. */
async function out(t: Page, name: string, groups: string[]) {
  const students = ['Ada Lund', 'Ben Oduya', 'Chi Tran', 'Dov Katz'].slice(0, groups.length * 2);
  const lesson = await readyLesson(t, { name, students, groups, rooms: 'ownRooms' });
  await t.request.patch(`/api/staff/segments/${lesson.round.segmentId}`, { data: { lookSeconds: 0 } });
  await give(t, lesson, 'sendOut');
  const base = new URL(t.url()).origin;
  const people = await pupils(base, lesson);
  const of = (group: number) => people.filter(({ id }) => lesson.floor.groups[group]?.students.includes(id) === true);
  return { base, lesson, people, of };
}

const first = <T>([one]: T[]): T => {
  if (one === undefined) throw new Error('Nobody came.');
  return one;
};

test('nobody gets in by a token that is missing, made up, of another room or class, used or old', async ({
  browser,
}) => {
  const t = await teacher(browser);
  const { base, lesson, of } = await out(t, '9A Tokens', ['Quayside', 'Millbrook']);
  const other = await out(t, '9B Tokens', ['Quayside']);
  const [ada, chi, stranger] = [first(of(0)), first(of(1)), first(other.of(0))];
  const [mine, theirs, elsewhere] = [await ada.ticket(), await chi.ticket(), await stranger.ticket()];
  expect(mine.room).not.toBe(theirs.room);

  const line = await Intruder.inside(base, mine.address);
  expect(await line.join(theirs.room, '')).toBe(REFUSED);
  expect(await line.join(theirs.room, 'staff-1.speaks.0000')).toBe(REFUSED);
  expect(await line.join(theirs.room, mine.token)).toBe(REFUSED);
  expect(await line.join(elsewhere.room, mine.token)).toBe(REFUSED);
  expect(await line.join(mine.room, theirs.token)).toBe(REFUSED);
  expect(await line.join(`o${'0'.repeat(40)}`, mine.token)).toBe('refused 426'); // a room that was guessed
  expect(await line.join(mine.room, mine.token)).toBe('in');
  line.end();

  // What has let somebody in lets nobody in again.
  const again = await Intruder.inside(base, mine.address);
  await expect.poll(() => again.join(mine.room, mine.token)).toBe(REFUSED);

  // What was given before a move opens nothing after it.
  const before = await ada.ticket();
  const { floor } = (await (await t.request.get(`/api/staff/lessons/${lesson.id}`)).json()) as Lesson;
  await t.request.post(`/api/staff/groupings/${floor.id}/edits`, {
    data: { kind: 'seat', student: ada.id, group: floor.groups[1]?.id, basedOn: floor.step },
  });
  await expect.poll(async () => (await ada.ticket()).room).toBe(theirs.room);
  const tries = async ({ room, token }: Ticket) => {
    const other = await Intruder.inside(base, mine.address);
    const answer = await other.join(room, token);
    other.end();
    return answer;
  };
  await expect.poll(() => tries(before)).toBe(REFUSED);

  // What was not used in time of the lesson, opens nothing after it.
  const last = await chi.ticket();
  await give(t, lesson, 'callBack', { seconds: 0 });
  await give(t, lesson, 'end');
  await expect.poll(() => tries(last)).toMatch(/^refused/);
  expect((await chi.device.post('/api/student/room')).status()).toBe(409);
  again.end();
});

test('the line itself is for whom the application has sent, and for our own pages', async ({ browser }) => {
  const t = await teacher(browser);
  const { base, of } = await out(t, '9A Lines', ['Quayside']);
  const { address } = await first(of(0)).ticket();
  const parts = address.split('/');
  const changed = (part: number, to: string) => parts.map((one, i) => (i === part ? to : one)).join('/');
  expect(parts.length).toBeGreaterThan(3);
  for (let part = 1; part < parts.length; part++)
    for (const to of ['', 'x', '0', '..', 'A'.repeat(22)])
      expect(typeof (await Intruder.open(base, changed(part, to))), changed(part, to)).toBe('number');
  for (const path of ['/media', '/media/', '/media/admin', '/admin', '/janus'])
    expect(typeof (await Intruder.open(base, path)), path).toBe('number');
  expect(await Intruder.open(base, address, 'https://elsewhere.example')).toBe(403);
  expect(await Intruder.open(base, address, null)).toBe(403);
  const line = await Intruder.open(base, address);
  expect(typeof line).toBe('object');
  if (typeof line === 'object') line.end();
});

test('what pages do not need is not let through, and nobody speaks in somebody else’s session', async ({ browser }) => {
  const t = await teacher(browser);
  const { base, people } = await out(t, '9A Requests', ['Quayside']);
  const [ada, ben] = people;
  if (ada === undefined || ben === undefined) throw new Error('Nobody came.');
  const [mine, theirs] = [await ada.ticket(), await ben.ticket()];
  const [line, victim] = [await Intruder.inside(base, mine.address), await Intruder.inside(base, theirs.address)];
  expect(await line.join(mine.room, mine.token)).toBe('in');
  expect(await victim.join(theirs.room, theirs.token)).toBe('in');
  const { room } = mine;
  for (const body of [
    { request: 'create', room: 'mine', admin_key: '' },
    { request: 'destroy', room },
    { request: 'edit', room, new_pin: 'x' },
    { request: 'list' },
    { request: 'listparticipants', room },
    { request: 'listforwarders', room },
    { request: 'rtp_forward', room, host: '127.0.0.1', audio_port: 9 },
    { request: 'kick', room, id: ben.id },
    { request: 'moderate', room, id: ben.id, mid: '0', mute: true },
    { request: 'allowed', room, action: 'disable' },
    { request: 'enable_recording', room, record: true },
    { request: 'joinandconfigure', room, ptype: 'publisher' },
  ])
    expect((await line.message(body)).error?.code, body.request).toBe(403);
  for (const janus of ['info', 'claim', 'list_sessions', 'message_plugin', 'destroy_session', 'x'])
    expect((await line.ask({ janus, admin_secret: 'x' })).error?.code, janus).toBe(403);
  for (const janus of ['attach', 'destroy', 'keepalive'])
    expect((await line.ask({ janus, session_id: victim.session, plugin: 'janus.plugin.videoroom' })).error?.code).toBe(
      403,
    );
  for (const janus of ['detach', 'hangup', 'message', 'trickle'])
    expect(
      (await line.ask({ janus, handle_id: victim.handle, body: { request: 'start' }, candidate: null })).error?.code,
    ).toBe(403);
  // The other one has noticed nothing.
  expect((await victim.ask({ janus: 'attach', plugin: 'janus.plugin.videoroom' })).janus).toBe('success');
  line.end();
  victim.end();
});

test('a million joins, and descriptions that are long or nonsense, harm nobody else', async ({ browser }) => {
  const t = await teacher(browser);
  const { base, people } = await out(t, '9A Flood', ['Quayside']);
  const [ada, ben] = people;
  if (ada === undefined || ben === undefined) throw new Error('Nobody came.');
  const theirs = await ben.ticket();
  const victim = await Intruder.inside(base, theirs.address);
  expect(await victim.join(theirs.room, theirs.token)).toBe('in');

  const mine = await ada.ticket();
  const flood = await Intruder.inside(base, mine.address);
  for (let i = 0; i < 1_000_000 && flood.closed === null; i++) {
    flood.send(
      JSON.stringify({
        janus: 'message',
        transaction: `flood-${String(i)}`,
        session_id: flood.session,
        handle_id: flood.handle,
        body: { request: 'join', ptype: 'publisher', room: mine.room, token: String(i) },
      }),
    );
    if (i % 100 === 99) await new Promise((done) => setTimeout(done, 5));
  }
  expect(flood.closed).toBe(1008);

  // Many lines of one person push out that person's own alone.
  const lines: Intruder[] = [];
  for (let i = 0; i < 12; i++) lines.push(await Intruder.inside(base, mine.address));
  await expect.poll(() => lines.filter(({ closed }) => closed === null).length).toBe(3);
  for (const line of lines) line.end();

  const ticket = await ada.ticket();
  const line = await Intruder.inside(base, ticket.address);
  expect(await line.join(ticket.room, ticket.token)).toBe('in');
  const offer = (sdp: string) => line.message({ request: 'configure' }, { type: 'offer', sdp });
  const head = 'v=0\r\no=- 1 1 IN IP4 0.0.0.0\r\ns=-\r\nt=0 0\r\n';
  const media =
    'm=audio 9 UDP/TLS/RTP/SAVPF 111\r\nc=IN IP4 0.0.0.0\r\na=mid:0\r\na=sendonly\r\na=rtpmap:111 opus/48000/2\r\n';
  expect((await offer('v'.repeat(50_001))).error?.code).toBe(403);
  for (const sdp of [
    '',
    'v=0',
    '\0'.repeat(1_000),
    `${head}${'a=x\r\n'.repeat(9_000)}`,
    `${head}${media.repeat(200)}`.slice(0, 49_000),
    `${head}${media}a=fingerprint:sha-256 ${'FF:'.repeat(8_000)}\r\n`,
    `${head}${media}a=ice-ufrag:${'u'.repeat(20_000)}\r\na=ice-pwd:${'p'.repeat(20_000)}\r\n`,
    `${head}m=audio 99999999999 UDP/TLS/RTP/SAVPF ${'111 '.repeat(5_000)}\r\n`,
  ])
    await offer(sdp);
  line.send('x'.repeat(70_000));
  await expect.poll(() => line.closed).toBe(1009);

  // The media server has not been restarted, and the other one is where they were.
  expect(victim.closed).toBeNull();
  expect((await victim.ask({ janus: 'attach', plugin: 'janus.plugin.videoroom' })).janus).toBe('success');
  const comes = await ada.ticket();
  const honest = await Intruder.inside(base, comes.address);
  expect(await honest.join(comes.room, comes.token)).toBe('in');
  honest.end();
  victim.end();
});
