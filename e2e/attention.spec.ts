import { expect } from '@playwright/test';
import { goToRoom, student, tag, teacher } from './support/people';
import { readyLesson } from './support/plan';
import { countPresses } from './support/presses';
import { test } from './support/test';

/** Without a sign for so long a student counts as lost (core's Whereabouts). */
const lostAfter = 45_000;

/** What the lesson costs of the teacher's attention, through the real interface. */
test('one press sends out, visits, fetches, calls back; who gets lost stands on the screen within 5 seconds of its being known', async ({
  browser,
}, info) => {
  test.setTimeout(200_000);
  const t = await teacher(browser);
  const names = ['Ada Reed', 'Ben Reed', 'Chi Reed', 'Dov Reed'];
  const lesson = await readyLesson(t, { name: 'Attention', students: names, groups: ['Upper', 'Lower'] });
  await t.goto(`/lessons/${lesson.id}`);
  await t
    .getByRole('button', { name: /^Set up/ })
    .first()
    .click();
  await expect(t.getByText('3 rooms ready')).toBeVisible();
  const ada = await student(browser, lesson.doorWord, 'Ada Reed');
  const ben = await student(browser, lesson.doorWord, 'Ben Reed');
  const presses = await countPresses(t);
  const cost: Record<string, number> = {};
  const spend = async (what: string, does: () => Promise<void>) => {
    const before = presses();
    await does();
    cost[what] = presses() - before;
  };

  await spend('send out', async () => {
    await t.getByRole('button', { name: /^Send 4 students/ }).click();
    await expect(ada.page.getByRole('button', { name: 'Ask for help' })).toBeVisible();
  });
  await goToRoom(ada);
  await expect(tag(t, 'Ada Reed')).toHaveAccessibleName(/in place/);

  let lastSign = Date.now();
  ben.page.on('response', (answer) => {
    if (/\/api\/student\/(sign|now)$/.test(answer.url())) lastSign = Date.now();
  });
  await expect(t.getByRole('button', { name: 'Remind Ben Reed' })).toBeVisible();
  await spend('fetch', async () => {
    await t.getByRole('button', { name: 'Remind Ben Reed' }).click();
    await expect(ben.page.getByText(/^Please go to (Upper|Lower)( · .*)? now\.$/)).toBeVisible();
  });
  await ben.page.close();
  await expect(t.getByLabel('Not there yet').getByText('lost: no contact for a while')).toBeVisible({
    timeout: 90_000,
  });
  const seconds = (Date.now() - lastSign - lostAfter) / 1_000;

  await spend('visit', async () => {
    await t
      .getByRole('region', { name: 'Visit next' })
      .getByRole('button', { name: /^Visit / })
      .click();
    await expect(t.getByText(/^You’re with /)).toBeVisible();
  });
  await expect(t.getByRole('dialog').getByRole('heading').first()).toBeVisible();
  await t.keyboard.press('Escape');
  await spend('call back', async () => {
    await t.getByRole('button', { name: /^Call everyone back/ }).click();
    await expect(ada.page.getByText('Back to the main session in')).toBeVisible();
  });

  info.annotations.push({ type: 'presses', description: JSON.stringify(cost) });
  info.annotations.push({ type: 'lost, seconds after it is known', description: seconds.toFixed(1) });
  console.log(`presses ${JSON.stringify(cost)}; lost on the screen ${seconds.toFixed(1)} s after it is known`);
  expect(cost).toEqual({ 'send out': 1, fetch: 1, visit: 1, 'call back': 1 });
  expect(seconds).toBeLessThan(5);
});
