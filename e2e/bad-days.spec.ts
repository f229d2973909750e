import { expect } from '@playwright/test';
import { killDatabase, killHard, supervisor } from './support/machine';
import { choose, seats, student, teacher } from './support/people';
import { readyLesson } from './support/plan';
import { test } from './support/test';

test('processes die in the middle of a lesson, and the lesson goes on', async ({ browser }) => {
  const t = await teacher(browser);
  const lesson = await readyLesson(t, {
    name: 'Bad day',
    students: ['Ada', 'Ben', 'Chi', 'Dov'],
    groups: ['Quayside', 'Millbrook'],
  });
  await t.goto(`/lessons/${lesson.id}`);
  await expect(t.locator('[data-stop^="table:"]')).toHaveCount(2);
  const [one = '', two = ''] = (await seats(t)).get('Quayside') ?? [];
  const ada = await student(browser, lesson.doorWord, one);
  const ben = await student(browser, lesson.doorWord, two);
  await t.getByRole('button', { name: 'Send out anyway' }).click();
  for (const who of [ada, ben]) await who.page.getByRole('button', { name: 'Open our worksheet' }).click();

  const mine = ada.page.getByLabel('Your answer');
  const together = ben.page.getByLabel('Together');
  const saved = (page: typeof ada.page) => page.getByRole('status').filter({ hasText: 'Saved' }).first();
  let written = '';

  /** Both write on while `harm` is done; when their pages say “saved”, the teacher has every word. */
  const while_ = async (word: string, harm: () => void) => {
    await mine.pressSequentially(`${word} before. `, { delay: 10 });
    const harmed = new Promise<void>((done) =>
      setTimeout(() => {
        harm();
        done();
      }, 100),
    );
    await mine.pressSequentially(`${word} during. `, { delay: 60 });
    await together.pressSequentially(`Ben, ${word}. `, { delay: 20 });
    await harmed;
    written += `${word} before. ${word} during. `;
    await expect(saved(ada.page)).toBeVisible();
    await expect(saved(ben.page)).toBeVisible();
    await expect(mine).toHaveValue(written);
    // It is said to screen readers, too.
    await expect(ben.page.getByRole('listitem').getByText(written.trim())).toBeVisible();
  };

  await test.step('every PHP process is killed', async () => {
    await while_('php', () => expect(killHard('php')).toBeGreaterThan(15));
  });
  await test.step('the workers are killed', async () => {
    await while_('worker', () => expect(killHard('worker')).toBe(2));
  });
  await test.step('PostgreSQL is restarted', async () => {
    await while_('database', () => supervisor('restart', 'postgres'));
  });
  await test.step('nginx is restarted, and the stream with it', async () => {
    await while_('stream', () => supervisor('restart', 'nginx'));
  });

  await test.step('what was shown as saved is there for the teacher, and the call back works', async () => {
    await t.getByRole('tab', { name: 'Work', exact: true }).click();
    await t.getByRole('button', { name: 'Open Quayside’s copy' }).click();
    await expect(t.getByRole('dialog').getByText(written.trim())).toBeVisible();
    for (const word of ['php', 'worker', 'database', 'stream'])
      await expect(t.getByRole('dialog').getByText(`Ben, ${word}.`)).toBeVisible();
    await t.keyboard.press('Escape');
    await choose(t, 'Countdown', '10 seconds');
    await t.getByRole('button', { name: 'Call everyone back in 10 s' }).click();
    await expect(ada.page.getByText('Back to the main session in')).toBeVisible();
    await expect(ada.page.getByText('Go back to the main session.')).toBeVisible();
  });
});

test('with no server at all a page follows the agreed end by itself', async ({ browser }) => {
  const t = await teacher(browser);
  const round = { lookSeconds: 0, callBackSeconds: 10, minutes: 1, autoCallBack: true };
  const lesson = await readyLesson(t, {
    name: 'No server',
    students: ['Ada', 'Ben', 'Chi', 'Dov'],
    groups: ['A', 'B'],
    round,
  });
  await t.goto(`/lessons/${lesson.id}`);
  const ada = await student(browser, lesson.doorWord, 'Ada');
  await t.getByRole('button', { name: 'Send out anyway' }).click();
  await expect(ada.page.getByText('left', { exact: false }).first()).toBeVisible();
  await ada.context.setOffline(true);
  await expect(ada.page.getByText('Back to the main session in')).toBeVisible({ timeout: 90_000 });
  await expect(ada.page.getByText('Go back to the main session.')).toBeVisible();
  // Back on the line, it agrees with the server.
  await ada.context.setOffline(false);
  await expect(ada.page.getByText('You’re offline.')).toHaveCount(0);
  const now = (await (await ada.page.request.get('/api/student/now')).json()) as {
    serverNow: number;
    moments: { endsAt: number; autoSeconds: number };
  };
  expect(now.serverNow).toBeGreaterThanOrEqual(now.moments.endsAt + 1000 * now.moments.autoSeconds);
  await expect(ada.page.getByText('Go back to the main session.')).toBeVisible();
});

test('where the stream cannot get through, pages ask and switch all the same', async ({ browser }) => {
  const t = await teacher(browser);
  const lesson = await readyLesson(t, {
    name: 'No stream',
    students: ['Ada', 'Ben', 'Chi', 'Dov'],
    groups: ['A', 'B'],
  });
  const ada = await student(browser, lesson.doorWord, 'Ada');
  for (const page of [t, ada.page]) await page.route('**/stream/**', (route) => route.abort());
  await Promise.all([t.goto(`/lessons/${lesson.id}`), ada.page.reload()]);
  await expect(t.getByText('Disconnected from the server.')).toBeVisible();
  await t.getByRole('button', { name: 'Send out anyway' }).click();
  await ada.page.getByRole('button', { name: 'Open our worksheet' }).click();
  await ada.page.getByLabel('Your answer').fill('Asked, not told.');
  await t.getByRole('tab', { name: 'Work', exact: true }).click();
  await expect(t.getByText('Asked, not told.')).toBeVisible();
  await choose(t, 'Countdown', '0 seconds');
  await t.getByRole('button', { name: 'Call everyone back now' }).click();
  await expect(ada.page.getByText('Go back to the main session.')).toBeVisible();
});

test('after the database was killed no process fails its first request', async ({ browser }) => {
  const t = await teacher(browser);
  const lesson = await readyLesson(t, { name: '8R Database', students: ['Ada', 'Ben'], groups: ['Quayside'] });
  const paths = [
    `/api/staff/lessons/${lesson.id}`,
    `/api/staff/rounds/${lesson.round.id}/paper/plan.pdf`,
    `/api/student/classes/${encodeURIComponent(lesson.doorWord)}`,
    `/api${lesson.classPage}`,
  ];
  const ask = async (path: string, times: number) =>
    Promise.all(Array.from({ length: times }, async () => (await t.request.get(path)).status()));
  // Every process of every kind has a connection of its own before it happens.
  for (const path of paths) await ask(path, 8);
  killDatabase();
  await expect.poll(async () => (await t.request.get('/api/staff/me')).status(), { intervals: [100] }).toBe(200);
  for (const path of paths)
    for (const status of await ask(path, 12)) expect(status === 429 ? 200 : status, path).toBe(200);
});
