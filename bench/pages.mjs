// How long until a page is usable on a slow line and a slow device: 400 kbit/s, 400 ms, a processor four times slower.
import { chromium } from '@playwright/test';

const base = process.env.FH_BASE ?? 'http://127.0.0.1:8480';
const line = { offline: false, latency: 400, downloadThroughput: 400_000 / 8, uploadThroughput: 400_000 / 8 };
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync', '--no-first-run'],
});

async function slow(options) {
  const context = await browser.newContext({ baseURL: base, ...options });
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Network.enable');
  await session.send('Network.emulateNetworkConditions', line);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  return page;
}

/** Milliseconds from the press of Enter until what is needed can be pressed. */
async function timed(go, ready) {
  const began = performance.now();
  await go();
  await ready().waitFor();
  return Math.round(performance.now() - began);
}

const median = (all) => all.sort((a, b) => a - b)[Math.floor(all.length / 2)];
async function measure(name, aim, once) {
  const all = [];
  for (let i = 0; i < 5; i++) all.push(await once());
  console.log(`${name.padEnd(44)} ${String(median(all)).padStart(6)} ms   (aim ${aim}; ${all.join(', ')})`);
}

/** As `timed`, and painted: what stands in the page itself is painted when the style is there. */
async function timedAndPainted(page, go, ready) {
  const took = await timed(go, ready);
  const painted = () =>
    page.evaluate(() => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? null);
  let at = null;
  while (at === null) at = await painted();
  return Math.max(took, Math.round(at));
}

const phone = { viewport: { width: 390, height: 844 } };
await measure('student, first time: the door, painted', '3000', async () => {
  const page = await slow(phone);
  await timed(
    () => page.goto('/student', { waitUntil: 'commit' }),
    () => page.getByLabel('Join words'),
  );
  // It stands in the page itself, and is painted when the style is there.
  const painted = () =>
    page.evaluate(() => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? null);
  let took = null;
  while (took === null) took = await painted();
  await page.context().close();
  return Math.round(took);
});
await measure('student, first time: the name, typed at once', '', async () => {
  const page = await slow(phone);
  const took = await timed(
    async () => {
      await page.goto('/student', { waitUntil: 'commit' });
      await page.getByLabel('Join words').fill('amber otter');
      await page.getByRole('button', { name: 'Find my class' }).click();
    },
    () => page.getByLabel('Your name'),
  );
  await page.context().close();
  return took;
});
await measure('student, first time: from the press to the name', '2000', async () => {
  const page = await slow(phone);
  await page.goto('/student');
  await page.getByLabel('Join words').fill('amber otter');
  const took = await timed(
    () => page.getByRole('button', { name: 'Find my class' }).click(),
    () => page.getByLabel('Your name'),
  );
  await page.context().close();
  return took;
});
const inside = await slow(phone);
await inside.goto('/student?door=amber+otter');
await inside.getByLabel('Your name').fill('zofia krawczyk');
await inside.getByRole('button', { name: 'Join' }).click();
await inside.getByText('Zofia Krawczyk ·').waitFor();
await measure('student, inside, again', '1500', async () =>
  timed(
    () => inside.reload({ waitUntil: 'commit' }),
    () => inside.getByText('Zofia Krawczyk ·'),
  ),
);
await measure('teacher, first time: the sign-in', '4000', async () => {
  const page = await slow({ viewport: { width: 1280, height: 800 } });
  const took = await timed(
    () => page.goto('/', { waitUntil: 'commit' }),
    () => page.getByLabel('Email'),
  );
  await page.context().close();
  return took;
});
const teacher = await slow({ viewport: { width: 1280, height: 800 } });
await teacher.goto('/');
await teacher.getByLabel('Email').fill('teacher@larkmouth.example');
await teacher.getByLabel('Password').fill('harbour-lights');
await teacher.getByRole('button', { name: 'Sign in' }).click();
await teacher.getByRole('heading', { name: 'Your classes' }).waitFor();
const state = await teacher.context().storageState();
await measure('teacher, signed in, nothing kept: her classes', '4000', async () => {
  const page = await slow({ viewport: { width: 1280, height: 800 }, storageState: state });
  const took = await timedAndPainted(
    page,
    () => page.goto('/', { waitUntil: 'commit' }),
    () => page.getByRole('link', { name: /Class list of 9G/ }),
  );
  await page.context().close();
  return took;
});
await measure('teacher, signed in, again', '', () =>
  timed(
    () => teacher.reload({ waitUntil: 'commit' }),
    () => teacher.getByRole('link', { name: /Class list of 9G/ }),
  ),
);
const lessons = await (await teacher.request.get('/api/staff/lessons')).json();
const lesson = `/lessons/${lessons.find((one) => one.title.startsWith('Where does the flood wall go')).id}`;
await measure('teacher, signed in, nothing kept: a lesson', '4000', async () => {
  const page = await slow({ viewport: { width: 1280, height: 800 }, storageState: state });
  const took = await timedAndPainted(
    page,
    () => page.goto(lesson, { waitUntil: 'commit' }),
    () => page.locator('[data-stop^="tag:"]').first(),
  );
  await page.context().close();
  return took;
});
await measure('teacher, a lesson: a press at once is done', '', async () => {
  const page = await slow({ viewport: { width: 1280, height: 800 }, storageState: state });
  const took = await timed(
    async () => {
      await page.goto(lesson, { waitUntil: 'commit' });
      await page.getByRole('button', { name: 'List', exact: true }).click();
    },
    () => page.getByRole('table').first(),
  );
  await page.context().close();
  return took;
});
await browser.close();
