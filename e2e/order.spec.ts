import { expect } from '@playwright/test';
import { choose, seats, student, teacher } from './support/people';
import { readyLesson } from './support/plan';
import { test } from './support/test';

test('a lesson of many segments, planned by mouse and by keyboard, and gone through press by press', async ({
  browser,
}) => {
  const t = await teacher(browser);
  const lesson = await readyLesson(t, {
    name: 'Many segments',
    students: ['Ada', 'Ben', 'Chi', 'Dov', 'Esi', 'Fay', 'Gil', 'Hye'],
    groups: ['Quayside', 'Millbrook'],
  });
  await t.goto(`/lessons/${lesson.id}`);
  const strip = t.getByRole('group', { name: 'Running order' });
  const parts = () =>
    strip
      .getByRole('button')
      .evaluateAll((all) => all.map((one) => (one.getAttribute('aria-label') ?? '').replace(/ minutes?.*/, '')));

  await test.step('an edge moves time between neighbours, by keyboard and by hand', async () => {
    await strip.getByRole('slider', { name: 'Between Briefing and Round 1' }).focus();
    await t.keyboard.press('ArrowLeft');
    await expect.poll(parts).toEqual(['Briefing, 11', 'Round 1, 26', 'Share-out, 13']);
    await t.keyboard.press('PageUp');
    await expect.poll(parts).toEqual(['Briefing, 16', 'Round 1, 21', 'Share-out, 13']);
    const box = (await strip.getByRole('slider', { name: 'Between Round 1 and Share-out' }).boundingBox()) ?? {
      x: 0,
      y: 0,
      width: 0,
      height: 0,
    };
    const bar = (await strip.boundingBox())?.width ?? 0;
    await t.mouse.move(box.x + box.width / 2, box.y + 15);
    await t.mouse.down();
    await t.mouse.move(box.x + box.width / 2 + (bar * 4) / 50, box.y + 15, { steps: 5 });
    await t.mouse.up();
    await expect.poll(parts).toEqual(['Briefing, 16', 'Round 1, 25', 'Share-out, 9']);
  });

  await test.step('a segment is added, put elsewhere, taken out, and undone', async () => {
    await t.getByRole('button', { name: 'Add to running order' }).click();
    await t.getByRole('menuitem', { name: /Break/ }).click();
    await expect.poll(parts).toEqual(['Briefing, 16', 'Round 1, 25', 'Break, 5', 'Share-out, 9']);
    await expect(t.getByText('5 min too long')).toBeVisible();
    await strip.getByRole('button', { name: /^Break/ }).focus();
    await t.keyboard.press('Alt+ArrowLeft');
    await expect.poll(parts).toEqual(['Briefing, 16', 'Break, 5', 'Round 1, 25', 'Share-out, 9']);
    await strip.getByRole('button', { name: /^Break/ }).click();
    await t.getByRole('button', { name: 'Remove' }).click();
    await expect.poll(parts).toEqual(['Briefing, 16', 'Round 1, 25', 'Share-out, 9']);
    await t.getByRole('status').getByRole('button', { name: 'Undo' }).last().click();
    await expect.poll(parts).toEqual(['Briefing, 16', 'Break, 5', 'Round 1, 25', 'Share-out, 9']);
    await t.getByRole('button', { name: 'Fit to the lesson' }).click();
    await expect(t.getByText('50 of 50 min planned')).toBeVisible();
  });

  await test.step('split fills two rounds in one press', async () => {
    const before = await seats(t);
    await t.getByRole('button', { name: 'Add to running order' }).click();
    await t.getByRole('menuitem', { name: 'Plan several rounds at once' }).click();
    await t.getByRole('button', { name: 'Way to fill them' }).click();
    await t.getByRole('option', { name: /^Split/ }).click();
    await t.getByRole('button', { name: 'Plan 2 rounds' }).click();
    await expect.poll(async () => (await parts()).filter((part) => part.startsWith('Round')).length).toBe(2);
    await expect.poll(async () => (await seats(t)).size).toBe(4);
    for (const pair of (await seats(t)).values())
      expect([...before.values()].some((group) => pair.every((name) => group.includes(name)))).toBe(true);
    await strip.getByRole('button', { name: /^Round 2/ }).click();
    await t.getByRole('button', { name: 'Plan this round' }).click();
    await expect(t.getByText('You’re planning Round 2.')).toBeVisible();
    await expect.poll(async () => (await seats(t)).size).toBe(2);
    await t.getByRole('button', { name: 'Back to Round 1' }).click();
    await expect.poll(async () => (await seats(t)).size).toBe(4);
  });

  await test.step('next, next, next: pages follow', async () => {
    const ada = await student(browser, lesson.doorWord, 'Ada');
    await strip.getByRole('button', { name: /^Briefing/ }).click();
    await t.getByRole('button', { name: 'Start this now' }).click();
    await expect(ada.page.getByRole('heading', { name: 'Listen to your teacher.' })).toBeVisible();
    await expect(strip.getByRole('button', { name: /^Briefing.*now$/ })).toBeVisible();
    await t.getByRole('button', { name: /^Next: Break/ }).click();
    await expect(ada.page.getByRole('heading', { name: 'Take a break.' })).toBeVisible();
    await t.getByRole('button', { name: 'Send out anyway' }).click();
    await expect(ada.page.getByText('With you')).toBeVisible();
    await expect(strip.getByRole('button', { name: /^Round 1.*now$/ })).toBeVisible();
    await choose(t, 'Countdown', '0 seconds');
    await t.getByRole('button', { name: 'Call everyone back now' }).click();
    await t.getByRole('button', { name: /^Next: Round 2/ }).click();
    await expect(ada.page.getByRole('heading', { name: /Quayside|Millbrook/ })).toBeVisible();
    await expect(t.getByLabel('Countdown')).toBeVisible(); // after the look
    await choose(t, 'Countdown', '0 seconds');
    await t.getByRole('button', { name: 'Call everyone back now' }).click();
    await t.getByRole('button', { name: /^Next: Share-out/ }).click();
    await expect(ada.page.getByRole('heading', { name: 'The groups share what they found.' })).toBeVisible();
  });

  await test.step('the next lesson begins from this one', async () => {
    await t.getByRole('button', { name: 'Create the next lesson from this one' }).click();
    await t.getByRole('menuitem', { name: 'Same groups' }).click();
    await expect.poll(() => t.url()).not.toContain(lesson.id);
    await expect
      .poll(async () => (await parts()).map((part) => part.split(',')[0]))
      .toEqual(['Briefing', 'Break', 'Round 1', 'Round 2', 'Share-out']);
    await t.goto('/');
    await expect(t.getByRole('heading', { name: /^Today/ })).toBeVisible();
    await expect(t.getByText('Upcoming')).toBeVisible();
  });
});
