import { expect } from '@playwright/test';
import { teacher } from './support/people';
import { readyLesson } from './support/plan';
import { test } from './support/test';

const names = ['Ada', 'Ben', 'Chi', 'Dov', 'Esi', 'Fay', 'Gil', 'Hye'];

test('a teacher who has never taught with it is led through a round with simulated students', async ({ browser }) => {
  const t = await teacher(browser);
  const lesson = await readyLesson(t, { name: '8P Practice', students: names, groups: ['Quayside', 'Millbrook'] });
  const classes = async () => ((await (await t.request.get('/api/staff/classes')).json()) as unknown[]).length;
  const before = await classes();
  await t.goto(`/lessons/${lesson.id}`);
  /** The work of the group that is visited lies over the page. */
  const putAway = async () => {
    const work = t.getByRole('dialog');
    await expect(work).toBeAttached();
    await t.keyboard.press('Escape');
    await expect(work).toHaveCount(0);
  };
  const guide = t
    .getByRole('status')
    .filter({ hasText: /students are arriving|Most are here|Groups are at work|asking/ });

  await test.step('what is likely to come of it is said beforehand', async () => {
    // The panel may still grow above the button while it is being pressed.
    await expect(async () => {
      await t.getByRole('button', { name: /^Rehearse/ }).click();
      await expect(t.getByText(/Rehearsed \d+ times with simulated students/)).toBeVisible({ timeout: 10_000 });
    }).toPass();
  });

  await test.step('students come by themselves, and are sent out', async () => {
    await t.getByRole('button', { name: 'Practise' }).click();
    await expect(t.getByRole('button', { name: 'Leave practice' })).toBeVisible();
    await expect(t).not.toHaveURL(new RegExp(lesson.id));
    await expect(guide).toContainText('Most are here');
    await t.getByRole('button', { name: /^Send (\d+|out)/ }).click();
    await expect(guide).toContainText('Groups are at work');
  });

  await test.step('a group is visited, and one that calls is answered', async () => {
    await t
      .getByRole('button', { name: /^Visit/ })
      .first()
      .click();
    await expect(t.getByText(/You’re with a group/)).toBeVisible();
    await putAway();
    await expect(t.getByText(/is asking for help\. Visit them/)).toBeVisible();
    await t.getByRole('button', { name: /^Visit \w+ next/ }).click();
    await expect(t.getByText(/You’re with a group/)).toBeVisible();
    await putAway();
    await t.getByRole('button', { name: 'Leave', exact: true }).click();
  });

  await test.step('and called back; nothing of it is left', async () => {
    await t.getByRole('button', { name: /Call everyone back/ }).click();
    await expect(t.getByText('Everyone’s back: that was a round.')).toBeVisible();
    await t.getByRole('button', { name: 'Leave practice' }).click();
    await expect(t).toHaveURL(new RegExp(lesson.id));
    await expect(t.getByRole('button', { name: 'Practise' })).toBeVisible();
    expect(await classes()).toBe(before);
  });
});
