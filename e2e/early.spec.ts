import { expect } from '@playwright/test';
import { teacher } from './support/people';
import { readyLesson } from './support/plan';
import { test } from './support/test';

test('what is pressed before its slip has come opens when it comes, and the focus stays where it was', async ({
  browser,
}) => {
  const t = await teacher(browser);
  const planned = await readyLesson(t, { name: 'Early', students: ['Ada Brook', 'Ben Brook'], groups: ['North'] });

  let come: () => void = () => undefined;
  const late = new Promise<void>((resolve) => {
    come = resolve;
  });
  await t.route(/\/assets\/(headless|index|core\.esm|drag)-[^/]*\.js$/, async (route) => {
    if (/\/(headless|drag)-/.test(route.request().url())) await late;
    await route.continue();
  });
  await t.goto(`/lessons/${planned.id}`);
  const tag = t.locator('[data-stop^="tag:"]', { hasText: 'Ada Brook' });
  await tag.focus();
  await t.getByRole('button', { name: /^Round 1/ }).click();
  await expect(t.getByRole('spinbutton', { name: 'Minutes' })).toBeHidden();
  come();
  await expect(t.getByText('Round 1', { exact: false }).last()).toBeVisible();
  await expect(t.getByRole('button', { name: /^Round 1/ })).toHaveAttribute('aria-expanded', 'true');
  await t.keyboard.press('Escape');

  await t.reload();
  await tag.focus();
  await expect(t.locator('[aria-roledescription="draggable"], [data-stop^="tag:"]').first()).toBeVisible();
  await expect(tag).toBeFocused();

  await t.reload();
  const edge = t.getByRole('slider', { name: 'Between Briefing and Round 1' });
  await edge.focus();
  await t.keyboard.press('ArrowLeft');
  await t.locator('[id^="DndLiveRegion"]').first().waitFor({ state: 'attached' });
  await expect(edge).toBeFocused();
});
