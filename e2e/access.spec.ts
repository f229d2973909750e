import { expect } from '@playwright/test';
import type { components } from '../web/src/api/generated';
import { isOpenToAll } from './support/access';
import { choose, find, student, tag, teacher } from './support/people';
import { test } from './support/test';

for (const scheme of ['light', 'dark'] as const) {
  test(`every screen can be used by everybody, ${scheme}`, async ({ browser }) => {
    const door = await (await browser.newContext({ colorScheme: scheme })).newPage();
    await door.goto('/');
    await expect(door.getByLabel('Password')).toBeVisible();
    await isOpenToAll(door, 'sign in');
    await door.setViewportSize({ width: 390, height: 844 });
    await door.goto('/student');
    await isOpenToAll(door, 'door word');
    await door.getByLabel('Join words').fill('silver gull');
    await door.getByRole('button', { name: 'Find my class' }).click();
    await expect(door.getByText('who are you?')).toBeVisible();
    await isOpenToAll(door, 'type a name');
    await door.getByLabel('Your name').fill('Nobody Here');
    await door.getByRole('button', { name: 'Join' }).click();
    await door.getByRole('button', { name: 'Wait for my teacher' }).click();
    await expect(door.getByRole('heading', { name: 'Your teacher will let you in' })).toBeVisible();
    await isOpenToAll(door, 'the doorway');

    const t = await teacher(browser, scheme);
    await isOpenToAll(t, 'classes');
    await t.getByRole('link', { name: 'Your account' }).click();
    await expect(t.getByText('this device', { exact: true })).toBeVisible();
    await isOpenToAll(t, 'account');
    await t.getByRole('link', { name: 'All classes' }).click();
    await t.getByRole('button', { name: 'New class' }).click();
    await t.getByLabel('Class name').fill(`Eleven ${scheme}`);
    await t.getByLabel('Paste here').fill('Ada\nAda\nBen Oduya\nChi\nDov');
    await expect(t.getByText('is already in line')).toBeVisible();
    await isOpenToAll(t, 'new class');
    await t.getByRole('button', { name: /Create class with 4/ }).click();
    await expect(t.getByRole('heading', { name: `Eleven ${scheme}` })).toBeVisible();
    await isOpenToAll(t, 'class list');
    const doorWord = await t
      .locator('p', { hasText: 'Students type these two words' })
      .locator('span')
      .last()
      .innerText();
    await t.getByLabel('What is the lesson about?').fill('Bends');
    await t.getByRole('button', { name: 'Create lesson' }).click();
    await expect(t.getByText('No groups yet.')).toBeVisible();
    await isOpenToAll(t, 'an empty floor');
    await t.getByLabel('How many').fill('2');
    await t.getByRole('button', { name: 'Make random groups', exact: true }).click();
    await expect(t.locator('[data-stop^="table:"]')).toHaveCount(2);
    const round = t.locator('details', { has: t.locator('summary', { hasText: 'Round 1' }) });
    await expect(async () => {
      await round.locator('summary').click();
      await expect(round).toHaveAttribute('open', '', { timeout: 1_000 });
    }).toPass();
    await t.getByLabel('Seconds to find their group').fill('0');
    await t.getByLabel('Seconds to find their group').press('Enter');
    await isOpenToAll(t, 'the floor');
    await t.locator('[data-stop^="tag:"]').first().click();
    await isOpenToAll(t, 'what can be done with a name');
    await t.keyboard.press('Escape');
    await t.getByRole('button', { name: 'List', exact: true }).click();
    await isOpenToAll(t, 'the floor as a list');
    await t.getByRole('button', { name: 'Groups', exact: true }).click();
    await t.keyboard.press('?');
    await isOpenToAll(t, 'keys');
    await t.keyboard.press('Escape');
    await t.getByRole('tab', { name: 'Materials', exact: true }).click();
    await t.getByRole('button', { name: 'Create a new worksheet' }).click();
    await t.getByRole('button', { name: '+ Question: one answer each' }).click();
    await t.getByLabel('What do students do here?').fill('What do you see?');
    await t.getByRole('button', { name: '+ Question: one answer together' }).click();
    await t.getByLabel('What do students do here?').last().fill('What do you all say?');
    await expect(t.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
    await isOpenToAll(t, 'the original');
    await t.getByRole('button', { name: 'Set up 3 rooms and 2 copies' }).click();
    const ada = await student(browser, doorWord, 'Ada', scheme);
    await isOpenToAll(ada.page, 'before the lesson');
    await t.getByRole('button', { name: 'Send 4 students to 2 rooms' }).click();
    await expect(ada.page.getByRole('button', { name: 'Open our worksheet' })).toBeVisible();
    await isOpenToAll(ada.page, 'where to be now');
    const height = await ada.page.evaluate(() => document.documentElement.scrollHeight);
    expect(height, 'where to be now needs no scrolling').toBeLessThanOrEqual(844);
    await ada.page.getByRole('button', { name: 'Open our worksheet' }).click();
    await ada.page.getByLabel('Your answer').fill('Mud.');
    await isOpenToAll(ada.page, 'the sheet');
    await t.getByRole('tab', { name: 'Work', exact: true }).click();
    await expect(t.getByText('Mud.')).toBeVisible();
    await isOpenToAll(t, 'everybody’s work');
    await t.getByRole('tab', { name: 'Groups', exact: true }).click();
    await isOpenToAll(t, 'the floor, live');
    await choose(t, 'Countdown', '10 seconds');
    await t.getByRole('button', { name: /Call everyone back/ }).click();
    await expect(ada.page.getByText('Back to the main session in')).toBeVisible();
    await isOpenToAll(ada.page, 'coming back');
    await expect(ada.page.getByText('Go back to the main session.')).toBeVisible({ timeout: 20_000 });
    await isOpenToAll(ada.page, 'back');
    await isOpenToAll(t, 'who is back');
  });
}

for (const scheme of ['light', 'dark'] as const) {
  test(`planning can be used by everybody, ${scheme}`, async ({ browser }) => {
    const t = await teacher(browser, scheme);
    const made = await t.request.post('/api/staff/classes', { data: { name: `Planning ${scheme}` } });
    const { id, doorWord } = (await made.json()) as components['schemas']['ClassView'];
    await t.goto(`/classes/${id}`);
    await t.getByLabel('Paste here').fill(
      `Name;Table;Level;Home language;Tags\n${'Ada Ben Chi Dov Esi Fay Gil Hye'
        .split(' ')
        .map((name, i) => `${name};${i < 4 ? 'A' : 'B'};${i % 3};${i % 2 ? 'Somali' : 'Twi'};${i % 4 ? '' : 'lead'}`)
        .join('\n')}\n999;;;;\n`,
    );
    await expect(t.getByText('has no letters')).toBeVisible();
    await isOpenToAll(t, 'bringing in a list');
    await t.getByRole('button', { name: 'Add 8 students' }).click();
    await expect(t.getByRole('columnheader', { name: 'Level' })).toBeVisible();
    await isOpenToAll(t, 'the class list with columns');
    await t.getByRole('button', { name: 'More about Ada' }).click();
    await isOpenToAll(t, 'more about a student');
    await t.keyboard.press('Escape');
    await t.getByRole('tab', { name: 'Seating plan' }).click();
    await isOpenToAll(t, 'the seating plan');
    await t.getByRole('tab', { name: 'Rules and wishes' }).click();
    await find(t, 'Student 1', 'Ada');
    await find(t, 'Student 2', 'Ben');
    await t.getByRole('button', { name: 'Add rule' }).click();
    await expect(t.getByText('Ada and Ben apart')).toBeVisible();
    await isOpenToAll(t, 'musts');

    await t.getByRole('button', { name: 'Make groups' }).click();
    await choose(t, 'How to make groups', 'Balanced: by goals and rules');
    await t.getByLabel('How many').fill('2');
    await t.getByLabel('How many').press('Enter');
    await choose(t, 'Add goal', '“lead” in each group');
    await expect(t.getByRole('button', { name: 'Put 8 students into 2 groups' })).toBeEnabled();
    await isOpenToAll(t, 'an empty desk');
    await t.getByRole('button', { name: 'Put 8 students into 2 groups' }).click();
    await expect(t.getByText('No better groups are possible.')).toBeVisible();
    await isOpenToAll(t, 'a proposal');
    await t.getByRole('button', { name: 'Use these groups' }).click();
    await expect(t.getByText('Preview. Your groups haven’t changed yet')).toHaveCount(0);
    await tag(t, 'Ada').focus();
    await t.keyboard.press(' ');
    await expect(t.getByText('breaks: Ada and Ben apart')).toBeVisible();
    await isOpenToAll(t, 'a tag held over the desk');
    await t.keyboard.press('Escape');
    await t.getByRole('button', { name: /^Saved versions/ }).click();
    await t.getByRole('button', { name: 'Save this version' }).click();
    await expect(t.getByRole('heading', { name: 'Version 1' })).toBeVisible();
    await isOpenToAll(t, 'variants');
    await t.keyboard.press('Escape');
    await t.getByRole('button', { name: 'Numbers, roles and tasks' }).click();
    await t.getByLabel('Role of number 1').fill('lead');
    await isOpenToAll(t, 'numbers');
    await t.getByRole('button', { name: 'Save', exact: true }).click();
    await tag(t, 'Chi').click();
    await t.getByRole('button', { name: 'Absent today' }).click();
    await t.getByRole('button', { name: 'Fix the groups' }).click();
    await expect(t.getByText('These students leave their seats:')).toBeVisible();
    await isOpenToAll(t, 'a repair');
    await t.keyboard.press('Escape');
    await find(t, 'Student 1', 'Ada');
    await find(t, 'Student 2', 'Ben');
    await choose(t, 'Kind of rule', 'together');
    await t.getByRole('button', { name: 'Add rule' }).click();
    await expect(t.getByText('Ada and Ben together')).toBeVisible();
    await t.getByRole('button', { name: 'Put 7 students into 2 groups' }).click();
    await expect(t.getByText('These rules conflict')).toBeVisible();
    await isOpenToAll(t, 'a contradiction');
    await t.getByRole('button', { name: 'Lift: Ada and Ben together' }).first().click();
    await expect(t.getByText('These rules conflict')).toHaveCount(0);

    await choose(t, 'How to make groups', 'Sign-up: students choose');
    const grouping = t.url().split('/').at(-1) ?? '';
    const lesson = await t.request.post(`/api/staff/classes/${id}/lessons`, { data: { title: 'Choose', minutes: 30 } });
    const { round } = (await lesson.json()) as components['schemas']['LessonView'];
    await t.request.patch(`/api/staff/segments/${round.segmentId}`, { data: { groupingId: grouping } });
    await t.getByRole('button', { name: 'Open sign-up for 7 students' }).click();
    await expect(t.getByText('have chosen a seat')).toBeVisible();
    await isOpenToAll(t, 'a sign-up on the desk');
    const gil = await student(browser, doorWord, 'Gil', scheme);
    await expect(gil.page.getByText(/^You’re in/)).toBeVisible();
    await isOpenToAll(gil.page, 'taking a seat');
  });
}
