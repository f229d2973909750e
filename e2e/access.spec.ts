import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { student, teacher } from './support/people';

/** No serious finding on a screen, and nothing that has to be scrolled sideways. */
async function isOpenToAll(page: Page, screen: string) {
  const { violations } = await new AxeBuilder({ page }).analyze();
  const serious = violations.filter((one) => one.impact === 'serious' || one.impact === 'critical');
  expect(
    serious.map((one) => `${screen}: ${one.id}: ${one.nodes[0]?.html ?? ''} ${one.nodes[0]?.failureSummary ?? ''}`),
  ).toEqual([]);
  const tooWide = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(tooWide, `${screen} is ${tooWide} px too wide`).toBeLessThanOrEqual(0);
}

for (const scheme of ['light', 'dark'] as const) {
  test(`every screen can be used by everybody, ${scheme}`, async ({ browser }) => {
    const door = await (await browser.newContext({ colorScheme: scheme })).newPage();
    await door.goto('/');
    await expect(door.getByLabel('Password')).toBeVisible();
    await isOpenToAll(door, 'sign in');
    await door.setViewportSize({ width: 390, height: 844 });
    await door.goto('/student');
    await isOpenToAll(door, 'class code');
    await door.getByLabel('Class code').fill('GULLRK');
    await door.getByRole('button', { name: 'Find my class' }).click();
    await expect(door.getByText('who are you?')).toBeVisible();
    await isOpenToAll(door, 'choose a name');

    const t = await teacher(browser, scheme);
    await isOpenToAll(t, 'classes');
    await t.getByRole('button', { name: 'New class' }).click();
    await t.getByLabel('What is the class called?').fill(`Eleven ${scheme}`);
    await t.getByLabel('Paste the names, one a line').fill('Ada\nAda\nBen Oduya\nChi\nDov');
    await expect(t.getByText('stands here twice')).toBeVisible();
    await isOpenToAll(t, 'new class');
    await t.getByRole('button', { name: /Make the class with 4/ }).click();
    await expect(t.getByRole('heading', { name: `Eleven ${scheme}` })).toBeVisible();
    await isOpenToAll(t, 'class list');
    const code = await t.locator('p', { hasText: 'Students type this code' }).locator('span').last().innerText();
    await t.getByLabel('What is the lesson about?').fill('Bends');
    await t.getByRole('button', { name: 'Plan this lesson' }).click();
    await expect(t.getByText('The floor is empty.')).toBeVisible();
    await isOpenToAll(t, 'an empty floor');
    await t.getByLabel('How many').fill('2');
    await t.getByRole('button', { name: 'Deal', exact: true }).click();
    await expect(t.locator('[data-stop^="table:"]')).toHaveCount(2);
    await t.locator('summary', { hasText: 'Round' }).click();
    await t.getByLabel('Seconds to look who is with whom').fill('0');
    await t.getByLabel('Seconds to look who is with whom').press('Enter');
    await isOpenToAll(t, 'the floor');
    await t.locator('[data-stop^="tag:"]').first().click();
    await isOpenToAll(t, 'what can be done with a name');
    await t.keyboard.press('Escape');
    await t.getByRole('button', { name: 'List' }).click();
    await isOpenToAll(t, 'the floor as a list');
    await t.getByRole('button', { name: 'Tables' }).click();
    await t.keyboard.press('?');
    await isOpenToAll(t, 'keys');
    await t.keyboard.press('Escape');
    await t.getByRole('button', { name: 'Original', exact: true }).click();
    await t.getByRole('button', { name: 'Add a slot: one answer each' }).click();
    await t.getByLabel('What should they write?').fill('What do you see?');
    await t.getByRole('button', { name: 'Add a slot: together' }).click();
    await t.getByLabel('What should they write?').last().fill('What do you all say?');
    await expect(t.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
    await isOpenToAll(t, 'the original');
    await t.getByRole('button', { name: 'Make 3 rooms' }).click();
    await t.getByRole('button', { name: 'Make 2 copies' }).click();
    const ada = await student(browser, code, 'Ada', scheme);
    await isOpenToAll(ada.page, 'before the lesson');
    await t.getByRole('button', { name: 'Send 4 students to 2 rooms' }).click();
    await expect(ada.page.getByRole('button', { name: 'Open our sheet' })).toBeVisible();
    await isOpenToAll(ada.page, 'where to be now');
    const height = await ada.page.evaluate(() => document.documentElement.scrollHeight);
    expect(height, 'where to be now needs no scrolling').toBeLessThanOrEqual(844);
    await ada.page.getByRole('button', { name: 'Open our sheet' }).click();
    await ada.page.getByLabel('Your answer').fill('Mud.');
    await isOpenToAll(ada.page, 'the sheet');
    await t.getByRole('button', { name: 'Work', exact: true }).click();
    await expect(t.getByText('Mud.')).toBeVisible();
    await isOpenToAll(t, 'everybody’s work');
    await t.getByRole('button', { name: 'Floor', exact: true }).click();
    await isOpenToAll(t, 'the floor, live');
    await t.getByLabel('Countdown').selectOption('10');
    await t.getByRole('button', { name: /Call everybody back/ }).click();
    await expect(ada.page.getByText('Back to the main session in')).toBeVisible();
    await isOpenToAll(ada.page, 'coming back');
    await expect(ada.page.getByText('Go back to the main session.')).toBeVisible({ timeout: 20_000 });
    await isOpenToAll(ada.page, 'back');
    await isOpenToAll(t, 'who is back');
  });
}
