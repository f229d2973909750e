import { expect } from '@playwright/test';
import { student, teacher } from './support/people';
import { readyLesson } from './support/plan';
import { test } from './support/test';

/** Sixty letters, with nowhere to break: what a name can be. */
const long = 'Wolfeschlegelsteinhausenbergerdorffwelchevoralternwarengewis';

/** What makes the page wider than the window: the innermost of it, where nothing around it scrolls by itself. */
function beyondTheEdge(): string[] {
  const root = document.documentElement;
  if (root.scrollWidth <= root.clientWidth) return [];
  const scrolls = (element: Element | null): boolean =>
    element !== null &&
    element !== document.body &&
    (getComputedStyle(element).overflowX !== 'visible' || scrolls(element.parentElement));
  return [...document.body.querySelectorAll('*')]
    .filter((one) => one.getBoundingClientRect().right > root.clientWidth + 1 && !scrolls(one.parentElement))
    .map((one) => `${one.tagName} ${one.className.slice(0, 80)}: ${one.textContent.slice(0, 40)}`)
    .slice(-4);
}

test('what is half written stays: Escape, Back and a new window lose nothing', async ({ browser }) => {
  const t = await teacher(browser);
  const planned = await readyLesson(t, { name: 'Drafts', students: ['Ada Brook', 'Ben Brook'], groups: ['North'] });

  await test.step('links for the rooms', async () => {
    await t.goto(`/lessons/${planned.id}?view=rooms`);
    await t.getByRole('button', { name: 'Paste links' }).first().click();
    await t.getByRole('dialog').getByRole('textbox', { name: 'Links' }).fill('North: https://rooms.example/1');
    await t.keyboard.press('Escape');
    await expect(t.getByRole('dialog')).toBeHidden();
    await t.goto('/');
    await t.goBack();
    await t.getByRole('button', { name: 'Paste links' }).first().click();
    await expect(t.getByRole('dialog').getByRole('textbox', { name: 'Links' })).toHaveValue(
      'North: https://rooms.example/1',
    );
  });

  await test.step('a message', async () => {
    await t.goto(`/lessons/${planned.id}`);
    await t
      .getByRole('button', { name: /^Set up/ })
      .first()
      .click();
    await t.getByRole('button', { name: /^Send 2 students/ }).click();
    await t.getByRole('textbox', { name: 'Message' }).fill('Look at the map');
    await t.keyboard.press('Escape');
    await t.goto('/');
    await t.goBack();
    await expect(t.getByRole('textbox', { name: 'Message' })).toHaveValue('Look at the map');
  });
});

test('names of sixty letters go over no edge, on a large screen and on a phone', async ({ browser }) => {
  const t = await teacher(browser);
  const names = [long, `${long.slice(0, 30)} ${long.slice(0, 29)}`, 'Bo', 'Chi Brook'];
  const planned = await readyLesson(t, { name: long, students: names, groups: [long.slice(0, 40), 'Of'] });
  for (const width of [1280, 390])
    for (const path of [
      '/',
      `/classes/${planned.classId}`,
      `/lessons/${planned.id}`,
      `/lessons/${planned.id}?view=rooms`,
      `/lessons/${planned.id}?view=work`,
      `/groupings/${planned.floor.id}`,
      '/cupboard',
      '/account',
    ]) {
      await t.setViewportSize({ width, height: 800 });
      await t.goto(path);
      await t.getByRole('heading').first().waitFor();
      await t.waitForLoadState('networkidle');
      expect.soft(await t.evaluate(beyondTheEdge), `${path} at ${width}`).toEqual([]);
    }
  await t.setViewportSize({ width: 1280, height: 800 });
  await t.goto(`/lessons/${planned.id}`);
  const { page: phone } = await student(browser, planned.doorWord, long);
  await t
    .getByRole('button', { name: /^Set up/ })
    .first()
    .click();
  await t.getByRole('button', { name: /^Send 4 students/ }).click();
  await expect(t.getByText('of 4 in place')).toBeVisible();
  await expect(phone.getByRole('link', { name: 'Go to the Of room' })).toBeVisible();
  for (const [page, widths] of [
    [t, [1280, 390]],
    [phone, [390]],
  ] as const)
    for (const width of widths) {
      await page.setViewportSize({ width, height: 800 });
      expect.soft(await page.evaluate(beyondTheEdge), `${page.url()} at ${width}, while groups are out`).toEqual([]);
    }
});
