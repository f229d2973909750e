// Renews docs/screenshots from the demo data. Run it on a fresh instance: bin/start --fresh && npm run screenshots
// FH_SHOTS=FOLDER/ takes them elsewhere, FH_SCHEME=dark in dark colours.
import { chromium } from '@playwright/test';
import { roomShots } from './roomShots.mjs';

const base = process.env.FH_BASE ?? 'http://127.0.0.1:8480';
const to = process.env.FH_SHOTS ?? new URL('../docs/screenshots/', import.meta.url).pathname;
const phone = { width: 390, height: 844 };
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--no-first-run',
    '--autoplay-policy=no-user-gesture-required',
  ],
});
const open = async (options = {}) =>
  (
    await browser.newContext({
      baseURL: base,
      viewport: { width: 1280, height: 800 },
      locale: 'en-GB',
      colorScheme: process.env.FH_SCHEME === 'dark' ? 'dark' : 'light',
      ...options,
    })
  ).newPage();
const settle = (page) => page.waitForTimeout(900);
const shot = async (page, name) => {
  await settle(page);
  await page.screenshot({ path: `${to}${name}.png` });
};

async function signIn(options) {
  const page = await open(options);
  await page.goto('/');
  await page.getByLabel('Email').fill('teacher@larkmouth.example');
  await page.getByLabel('Password').fill('harbour-lights');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('heading', { name: 'Your classes' }).waitFor();
  return page;
}

const teacher = await signIn();
await teacher.getByRole('link', { name: /Class list of 9G/ }).click();
await teacher.getByRole('heading', { name: '9G Geography' }).waitFor();
await shot(teacher, 'class-list');
await teacher.getByRole('button', { name: 'Import list' }).click();
await teacher
  .getByLabel('Paste here')
  .fill(
    'Set 9G, spring;;;\nName;Table;Level;Home language\nAbel Tarrant;Window;4;English\nIdris Mbeki-Sand;Back;2;Swahili\nBao Linh Trieu;Door;4;Vietnamese\nBao Linh Trieu;Door;4;\n28;;;',
  );
await teacher.getByText('Above the heading').waitFor();
await shot(teacher, 'bring-in');
await teacher.getByRole('button', { name: 'Clear' }).click();

// The desk: groups found for four goals and three musts, looked at and taken.
await teacher.getByRole('link', { name: /flood wall.*students in/ }).click();
await teacher.getByRole('button', { name: 'Put 28 students into 6 groups' }).click();
await teacher.getByText('Preview. Your groups haven’t changed yet').waitFor();
await teacher.waitForTimeout(2_500);
await shot(teacher, 'desk-proposal');
await teacher.getByRole('button', { name: 'Use these groups' }).click();
await teacher.getByText('Preview. Your groups haven’t changed yet').waitFor({ state: 'detached' });
await settle(teacher);
await teacher.locator('[data-stop^="tag:"]', { hasText: 'Rafe Pendleton' }).focus();
await teacher.keyboard.press(' ');
await teacher.getByText(/^breaks: /).waitFor();
await teacher.keyboard.press('Escape');
await teacher.getByRole('link', { name: 'Go to lesson' }).click();
await teacher.locator('[data-stop^="table:"]').first().waitFor();
await shot(teacher, 'floor-planning');
await teacher.getByRole('tab', { name: 'Materials', exact: true }).click();
await shot(teacher, 'original');
// Whole classes without a window meet at the simulated service, which takes signs of life for people.
const planned = teacher.url().split('/').pop().split('?')[0];
const { classId } = await (await teacher.request.get(`/api/staff/lessons/${planned}`)).json();
await teacher.request.put(`/api/staff/classes/${classId}/room-source`, { data: { kind: 'meetingService' } });
await teacher.getByRole('button', { name: 'Set up 7 rooms and 6 copies' }).click();
await teacher.getByRole('button', { name: /^Send 28/ }).waitFor();
await teacher.getByRole('tab', { name: 'Groups', exact: true }).click();

// The lesson practised beforehand, until a group asks for help.
await teacher.getByRole('button', { name: 'Practise' }).click();
await teacher.getByText('Most are here').waitFor({ timeout: 120_000 });
await teacher.getByRole('button', { name: /^Send (\d+|out)/ }).click();
await teacher.getByText(/is asking for help\. Visit/).waitFor({ timeout: 180_000 });
await shot(teacher, 'practice');
await teacher.getByRole('button', { name: 'Leave practice' }).click();
await teacher.getByRole('button', { name: /^Send 28/ }).waitFor();

// A class at work, its pages without a window: they join, press the button, and their rooms show signs of life.
const lesson = await (await teacher.request.get(`/api/staff/lessons/${teacher.url().split('/').pop()}`)).json();
const students = [];
const rooms = new Map();
const enter = async (student) => {
  const answer = await student.api.get('/api/student/room');
  rooms.set(student.name, { api: student.api, link: answer.url() });
};
const alive = async () => {
  for (const { api, link } of rooms.values()) {
    const answer = await api.post(`${link}/here`);
    const { go } = await answer.json();
    if (go !== undefined)
      rooms.set([...rooms].find(([, one]) => one.link === link)?.[0], { api, link: new URL(go, link).href });
  }
};
for (const { id, name } of lesson.students.slice(0, -3)) {
  const context = await browser.newContext({ baseURL: base });
  await context.request.post('/api/student/join', {
    data: { doorWord: lesson.doorWord, name },
    headers: { 'X-Forwarded-For': `198.51.100.${students.length + 1}` },
  });
  students.push({ id, name, api: context.request });
}
const door = await open({ viewport: phone });
await door.goto('/student?door=amber+otter');
await door.getByLabel('Your name').fill('zofia krawczyk');
await shot(door, 'student-door');
await door.getByRole('button', { name: 'Join' }).click();
await door.getByText('Go to the main session').first().waitFor();
for (const student of students.slice(0, -2)) await enter(student);
await alive();
await teacher.getByRole('button', { name: /^Send 28/ }).click();
await door.getByText('You will be in').waitFor();
for (let i = 0; i < 6; i++) {
  await teacher.waitForTimeout(3_000);
  await alive();
}
await alive();
await alive();
const lost = [...rooms.keys()][7];
rooms.delete(lost);
await door.getByRole('button', { name: 'Open our worksheet' }).click();

const writing = [
  'The pumping station stands below the lowest street.',
  'Nobody has asked the people in the caravans.',
  'The old mill race would carry the water away.',
  'Half the houses have no cellar.',
  'The school is the highest roof for everybody.',
];
let n = 0;
for (const student of students) {
  const now = await (await student.api.get('/api/student/now')).json();
  const copy = now.group?.copies[0]?.id;
  if (copy == null || ++n % 3 === 0) continue;
  const save = (slot, text) =>
    student.api.put(`/api/student/copies/${copy}/slots/${slot}`, {
      data: { save: crypto.randomUUID(), base: '', text },
    });
  await save('noticed', writing[n % writing.length]);
  const cards = Array.from({ length: n % 8 }, (_, i) => [
    `m${i + 1}`,
    { place: i, under: ['stops', 'slows', 'lives'][(i + n) % 3] },
  ]);
  if (cards.length > 0) await save('measures', JSON.stringify(Object.fromEntries(cards)));
  if (n % 7 === 1) await save('decision', 'Along the yard, and the lower field is given to the river.');
}
await door.getByLabel('Your answer').fill('The lowest street is where the bakery is.');
await alive();
const mine = await (await door.request.get('/api/student/now')).json();
await teacher.request.post(`/api/staff/copies/${mine.group.copies[0].id}/notes`, {
  data: { slot: 'noticed', text: 'How high does the water stand there?' },
});
await door.getByText('How high does the water stand there?').waitFor();
await door.getByLabel('Your answer').scrollIntoViewIfNeeded();
await shot(door, 'student-sheet');
await teacher.getByRole('tab', { name: 'Work', exact: true }).click();
await teacher.getByText('Mark all as seen').click();
await door.getByLabel('Together').fill('The wall goes behind the yard.');
await teacher.getByText('The wall goes behind the yard.').waitFor();
await shot(teacher, 'work');
await teacher.getByRole('tab', { name: 'Groups', exact: true }).click();
for (let i = 0; i < 9; i++) {
  await alive();
  await teacher.waitForTimeout(4_000);
}
await students[3].api.put('/api/student/call', { data: { about: 'stuck' } });
await teacher.getByText('asking for help: stuck').first().waitFor();
await alive();
await shot(teacher, 'floor-live');
const hand = await signIn({ viewport: phone });
await hand.goto(teacher.url());
await hand.getByRole('button', { name: /Call everyone back/ }).waitFor();
await shot(hand, 'teacher-phone');
await hand.context().close();
const other = await signIn();
await other.goto(teacher.url());
await other.locator('[data-stop^="table:"]').first().waitFor();
await teacher.getByRole('button', { name: 'Countdown' }).click();
await teacher.getByRole('option', { name: '30 seconds' }).click();
await teacher.getByRole('button', { name: /Call everyone back/ }).click();
await door.getByText('Back to the main session in').waitFor();
const going = async (data) =>
  teacher.request.post(`/api/staff/lessons/${lesson.id}/commands`, {
    data,
    headers: { 'Idempotency-Key': crypto.randomUUID() },
  });
// Everybody is back: groups share, and their work stands on every screen; then the lesson is over.
await teacher.waitForTimeout(31_000); // the countdown
await going({ kind: 'begin', segment: lesson.order.segments.find((one) => one.kind === 'shareOut').id });
await teacher.goto(`/lessons/${lesson.id}`);
await teacher.getByRole('button', { name: /^Start with/ }).click();
await teacher.getByRole('button', { name: /^Next: / }).waitFor();
await teacher.getByRole('button', { name: 'Call on someone' }).click();
await teacher.getByRole('button', { name: 'Show to everyone' }).first().click();
await teacher.getByText('This is on every screen.', { exact: false }).waitFor();
await shot(teacher, 'share-out');
await teacher.getByRole('button', { name: 'Stop showing' }).first().click();
await teacher.getByRole('tab', { name: 'Work', exact: true }).click();
await teacher.getByRole('tab', { name: 'By question' }).click();
await shot(teacher, 'sums');
await going({ kind: 'end' });
await teacher.goto(`/lessons/${lesson.id}`);
await teacher.getByRole('heading', { name: 'Where everyone was' }).waitFor();
await shot(teacher, 'record');

// Six more lessons of the same class, so that there is a term to be seen.
const press = async (path, data) => {
  const answer = await teacher.request.post(path, { data, headers: { 'Idempotency-Key': crypto.randomUUID() } });
  return answer.status() === 204 ? null : answer.json();
};
for (let n = 0; n < 6; n++) {
  const held = await press(`/api/staff/classes/${lesson.classId}/lessons`, { title: `Rivers ${n + 1}`, minutes: 50 });
  const act = (data) => press(`/api/staff/lessons/${held.id}/commands`, data);
  await press(`/api/staff/groupings/${held.floor.id}/deal`, { basedOn: held.floor.step, groups: 6 + (n % 2), seed: n });
  await teacher.request.patch(`/api/staff/segments/${held.round.segmentId}`, { data: { lookSeconds: 0 } });
  await act({ kind: 'sendOut', leaving: lesson.id });
  for (const [i, one] of students.entries()) if ((i * 7 + n) % 9 !== 0) await one.api.post('/api/student/sign');
  await teacher.waitForTimeout(2_500);
  const now = await (await teacher.request.get(`/api/staff/lessons/${held.id}`)).json();
  for (let v = 0; v < 3; v++) {
    await act({ kind: 'visit', group: now.floor.groups[(n + 2 * v) % now.floor.groups.length].id });
    await teacher.waitForTimeout(500 + 700 * v);
  }
  await act({ kind: 'leave' });
  await act({ kind: 'callBack', seconds: 0 });
  for (let c = 0; c < 4; c++) await press(`/api/staff/lessons/${held.id}/debrief/calls`, { last: c });
  await act({ kind: 'end' });
}
await teacher.goto(`/classes/${lesson.classId}/term`);
await teacher.getByRole('button', { name: 'Kofi Asare-Bediako' }).first().click();
await shot(teacher, 'term');

// The evening class chooses its own tables.
await other.goto('/');
await other
  .getByRole('link', { name: /What a river does/ })
  .first()
  .click();
await other.getByRole('link', { name: 'Make groups' }).click();
await other.getByRole('button', { name: 'How to make groups' }).click();
await other.getByRole('option', { name: 'Sign-up: students choose' }).click();
for (let i = 0; i < 4; i++) {
  await other.getByRole('button', { name: 'Add group' }).click();
  await other.locator('[data-stop^="table:"]').nth(i).waitFor();
}
await settle(other);
await other.getByLabel('Close automatically after (minutes)').fill('5');
await other.getByRole('button', { name: /Open sign-up/ }).click();
const chooser = await open({ viewport: phone });
await chooser.goto('/student?door=evening+tram');
await chooser.getByLabel('Your name').fill('lamin');
await chooser.getByRole('button', { name: 'Join' }).click();
await chooser.getByRole('button', { name: /Join Group 3/ }).click();
await chooser.getByText('You’re in Group 3.').waitFor();
await shot(chooser, 'student-sign-up');

await roomShots({ teacher, open, shot, phone });
await browser.close();
