import { expect } from '@playwright/test';
import { killHard } from './support/machine';
import { assistant, teacher } from './support/people';
import { readyLesson } from './support/plan';
import { test } from './support/test';

const isRendered = (html: string) => html.includes('<html data-first');

test('a page comes with its first view, and only to whoever may see it', async ({ browser }) => {
  const owner = await teacher(browser);
  const nasty = '</script><script>window.broken = 1</script><!--';
  const planned = await readyLesson(owner, { name: 'Shown', students: [nasty, 'Ben Tarn'], groups: ['North'] });
  const other = await readyLesson(owner, { name: 'Shared', students: ['Kit Fell'], groups: ['West'] });
  const guest = await assistant(
    browser,
    owner,
    other.classId,
    `first.view.${Date.now()}@larkmouth.example`,
    'Ola Reed',
  );
  const paths = ['/', `/lessons/${planned.id}`, `/classes/${planned.classId}`];
  const get = async (who: typeof owner, path: string) => (await who.request.get(path)).text();

  for (const path of paths) {
    const html = await get(owner, path);
    expect(isRendered(html), path).toBe(true);
    expect(html).toContain('Shown');
  }
  expect(await get(owner, paths[1] ?? '')).toContain('Ben Tarn');

  const stranger = await (await browser.newContext()).newPage();
  for (const path of paths) {
    expect(isRendered(await get(stranger, path)), path).toBe(false);
    // Whoever spells a cookie without being signed in, or is signed in as a student only.
    const spelt = await stranger.request.get(path, { headers: { Cookie: 'fh_staff=0; place=en-GB%20UTC' } });
    expect(isRendered(await spelt.text()), path).toBe(false);
  }
  for (const path of paths.slice(1)) expect(isRendered(await get(guest, path)), path).toBe(false);
  expect(await get(guest, '/')).not.toContain('Shown');

  // Two at once, again and again: nobody gets what is rendered for the other.
  const both = await Promise.all(
    Array.from({ length: 12 }, async () => [await get(owner, '/'), await get(guest, '/')] as const),
  );
  for (const [hers, his] of both) {
    expect(hers).toContain('Shown');
    expect(his).not.toContain('Shown');
    expect(his).toContain('Shared');
  }

  await owner.goto(paths[1] ?? '');
  await expect(owner.locator('[data-stop^="tag:"]', { hasText: '</script>' })).toBeVisible();
  expect(await owner.evaluate(() => 'broken' in window)).toBe(false);

  const answer = await owner.request.get('/');
  expect(answer.headers()['cache-control']).toBe('no-store');
  expect(answer.headers()['content-security-policy']).toContain("frame-ancestors 'none'");
});

test('what is typed and pressed before the scripts have come is not lost', async ({ browser }) => {
  const t = await teacher(browser);
  const planned = await readyLesson(t, { name: 'Typed', students: ['Ada Beck', 'Ben Beck'], groups: ['North'] });
  await t.goto(`/lessons/${planned.id}`);
  await t.getByRole('button', { name: /^Send (2|out)/ }).click();
  await expect(t.getByRole('textbox', { name: 'Message' })).toBeVisible();

  let come: () => void = () => undefined;
  const late = new Promise<void>((resolve) => {
    come = resolve;
  });
  await t.route(/\/assets\/.*\.js$/, async (route) => {
    await late;
    await route.continue();
  });
  await t.goto(`/lessons/${planned.id}`, { waitUntil: 'commit' });
  const message = t.getByRole('textbox', { name: 'Message' });
  await message.fill('Five minutes more');
  const early = t.getByRole('button', { name: 'Activity log' });
  await early.click();
  await expect(early).toHaveAttribute('aria-busy', 'true');
  come();
  await expect(t.getByRole('heading', { name: 'Activity log' })).toBeVisible();
  await t.keyboard.press('Escape');
  await expect(message).toHaveValue('Five minutes more');
  await t.getByRole('button', { name: 'Send', exact: true }).click();
  await expect(t.getByRole('complementary')).toContainText('Five minutes more');
  await expect(message).toHaveValue('');
});

test('a page that can be read does not move any more, and from then on begins with our type', async ({ browser }) => {
  const t = await teacher(browser);
  const planned = await readyLesson(t, {
    name: 'Steady',
    students: ['Ada Beck', 'Ben Beck'],
    groups: ['North', 'West'],
  });
  const isOurs = () => t.evaluate(() => document.documentElement.classList.contains('typed'));
  await t.addInitScript(() => {
    new PerformanceObserver((shifts) => {
      for (const { startTime } of shifts.getEntries()) document.documentElement.dataset.moved = String(startTime);
    }).observe({ type: 'layout-shift', buffered: true });
  });
  await t.goto(`/lessons/${planned.id}`);
  await expect(t.getByRole('link', { name: 'Steady' }).first()).toBeVisible();

  await t.evaluate(() => localStorage.removeItem('type'));
  await t.goto(`/lessons/${planned.id}`);
  await expect.poll(() => t.evaluate(() => localStorage.getItem('type'))).toBe('1');
  await t.waitForTimeout(1_000);
  expect(await isOurs()).toBe(false);
  expect(await t.evaluate(() => document.documentElement.dataset.moved)).toBeUndefined();

  await t.getByRole('link', { name: 'Steady' }).first().click();
  await expect.poll(isOurs).toBe(true);

  await t.goto(`/lessons/${planned.id}`, { waitUntil: 'commit' });
  await t.waitForFunction(() => document.readyState !== 'loading');
  expect(await isOurs()).toBe(true);
});

test('where first views are not rendered the plain page comes', async ({ browser }) => {
  const t = await teacher(browser);
  killHard('first-views');
  const plain = await t.request.get('/');
  expect(plain.status()).toBe(200);
  await t.reload();
  await expect(t.getByRole('heading', { name: 'Your classes' })).toBeVisible();
  // It is started anew by itself.
  await expect(async () => expect(isRendered(await (await t.request.get('/')).text())).toBe(true)).toPass();
});
