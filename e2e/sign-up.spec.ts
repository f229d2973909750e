import { expect } from '@playwright/test';
import { choose, find, seats, student, table, teacher } from './support/people';
import { test } from './support/test';

test('students take seats on their own pages, two at once for the last one, and the rest is seated', async ({
  browser,
}) => {
  const t = await teacher(browser);

  await test.step('a class with a seating plan and a wish', async () => {
    await t.getByRole('button', { name: 'New class' }).click();
    await t.getByLabel('Class name').fill('Debating circle');
    await t.getByLabel('Paste here').fill('Name\nAda Lund\nBen Oduya\nChi Nakagawa\nDov Petrescu');
    await t.getByRole('button', { name: 'Create class with 4 students' }).click();
    await expect(t.getByRole('heading', { name: 'Debating circle' })).toBeVisible();
    await t.getByRole('tab', { name: 'Seating plan' }).click();
    await t.getByRole('button', { name: 'Ada Lund', exact: true }).click();
    await t.getByLabel('New table').fill('Window');
    await t.getByRole('button', { name: 'Move here' }).click();
    await expect(t.getByText('Ada Lund now sits at Window.')).toBeVisible();
    await expect(t.getByRole('paragraph').filter({ hasText: /^Window$/ })).toBeVisible();
    await t.getByRole('tab', { name: 'Rules and wishes' }).click();
    await find(t, 'Student 1', 'Dov Petrescu');
    await find(t, 'Student 2', 'Ada Lund');
    await choose(t, 'Kind of rule', 'would like to be with');
    await t.getByRole('button', { name: 'Add rule' }).click();
    await expect(t.getByText('Dov Petrescu would like to be with Ada Lund')).toBeVisible();
  });
  const doorWord = await t.getByRole('button', { name: /: show how to join$/ }).innerText();

  await test.step('a lesson, and a table for two and two', async () => {
    await t.getByLabel('What is the lesson about?').fill('Should the ferry be free?');
    await t.getByRole('button', { name: 'Create lesson' }).click();
    await t.getByRole('link', { name: 'Make groups' }).click();
    await choose(t, 'Add goal', 'Everyone with someone they asked for');
    await choose(t, 'How to make groups', 'Sign-up: students choose');
    for (const name of ['Group 1', 'Group 2']) {
      await t.getByRole('button', { name: 'Add group' }).click();
      await expect(table(t, name)).toBeVisible();
    }
    await t.getByRole('button', { name: 'Open sign-up for 4 students' }).click();
    await expect(t.getByText('0 of 4 students have chosen a seat')).toBeVisible();
  });

  const names = ['Ada Lund', 'Ben Oduya', 'Chi Nakagawa'];
  const [ada, ben, chi] = await Promise.all(names.map((name) => student(browser, doorWord, name)));
  if (ada === undefined || ben === undefined || chi === undefined) throw new Error('Somebody is missing.');

  await test.step('a seat taken is seen by all, and nobody’s name with it', async () => {
    await ada.page.getByRole('button', { name: 'Join Group 1, 2 seats left' }).click();
    await expect(ada.page.getByRole('heading', { name: 'You’re in Group 1.' })).toBeVisible();
    await expect(ben.page.getByRole('button', { name: 'Join Group 1, 1 seat left' })).toBeVisible();
    await expect(ben.page.getByText('Ada Lund')).toHaveCount(0);
    await expect(t.getByText('1 of 4 students has chosen a seat')).toBeVisible();
  });

  await test.step('two at once for the last seat: one has it, the other is told', async () => {
    const last = [ben, chi].map(({ page }) => page.getByRole('button', { name: 'Join Group 1, 1 seat left' }));
    await Promise.all(last.map((button) => expect(button).toBeVisible()));
    await Promise.all(last.map((button) => button.click()));
    await expect(t.getByText('2 of 4 students have chosen a seat')).toBeVisible();
    const heads = await Promise.all(
      [ben, chi].map(async ({ page }) => {
        await expect(page.getByRole('button', { name: 'Join Group 1, full' })).toBeVisible();
        return page.getByRole('heading', { level: 1 }).innerText();
      }),
    );
    expect(heads.sort()).toEqual(['Choose a seat', 'You’re in Group 1.']);
  });

  await test.step('closed, the rest has seats too, and who had one has kept it', async () => {
    const before = (await seats(t)).get('Group 1') ?? [];
    expect(before).toHaveLength(2);
    await t.getByRole('button', { name: 'Close sign-up and place the rest' }).click();
    await expect.poll(async () => (await seats(t)).get('Group 2')?.length).toBe(2);
    expect((await seats(t)).get('Group 1')?.sort()).toEqual(before.sort());
    await expect(t.getByText('no wish met for Dov Petrescu')).toBeVisible();
    await expect(ada.page.getByRole('button', { name: /Join / })).toHaveCount(0);
  });
});
