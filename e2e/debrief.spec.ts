import { expect, type Browser, type Page } from '@playwright/test';
import { student, teacher } from './support/people';
import { readyLesson } from './support/plan';
import { countPresses } from './support/presses';
import { test } from './support/test';

const give = (t: Page, lesson: string, data: object) =>
  t.request.post(`/api/staff/lessons/${lesson}/commands`, {
    data,
    headers: { 'Idempotency-Key': crypto.randomUUID() },
  });

/** On to the share-out, as soon as everybody is back. */
async function toShareOut(t: Page, lesson: string) {
  await t.goto(`/lessons/${lesson}`);
  await expect(async () => {
    await t.getByRole('button', { name: /Next: Share-out/ }).click({ timeout: 1_000 });
    await expect(t.getByRole('button', { name: /^Start with/ })).toBeVisible({ timeout: 2_000 });
  }).toPass();
}

/** A class of four whose two groups are out: one of each comes in. */
async function worked(browser: Browser, t: Page, name: string) {
  const lesson = await readyLesson(t, {
    name,
    students: ['Ada', 'Ben', 'Chi', 'Dov'],
    groups: ['Quayside', 'Millbrook'],
  });
  await t.request.post(`/api/staff/rounds/${lesson.round.id}/copies`);
  await t.request.patch(`/api/staff/segments/${lesson.round.segmentId}`, { data: { lookSeconds: 0 } });
  await give(t, lesson.id, { kind: 'sendOut' });
  const [quayside, millbrook] = lesson.floor.groups.map(
    (group) => lesson.students.find((one) => one.id === group.students[0])?.name ?? '',
  );
  return {
    lesson,
    quayside: await student(browser, lesson.doorWord, quayside ?? ''),
    millbrook: await student(browser, lesson.doorWord, millbrook ?? ''),
  };
}

test('groups share in turn, work is on every screen and gone again, and somebody is called on', async ({ browser }) => {
  const t = await teacher(browser);
  const { lesson, quayside, millbrook } = await worked(browser, t, '8D Debrief');
  await quayside.page.getByRole('button', { name: 'Open our worksheet' }).click();
  await quayside.page.getByLabel('Together').fill('The wall goes behind the yard.');
  await expect(quayside.page.getByText('Saved')).toBeVisible();
  await give(t, lesson.id, { kind: 'callBack', seconds: 0 });
  await toShareOut(t, lesson.id);
  const wall = await (await browser.newContext({ viewport: { width: 1280, height: 720 } })).newPage();
  await wall.goto(lesson.classPage);
  const presses = await countPresses(t);

  await test.step('the next group is one press, and everybody knows whose turn it is', async () => {
    await t.getByRole('button', { name: /^Start with/ }).click();
    expect(presses()).toBe(1);
    await expect(t.getByRole('button', { name: /^Next: / })).toBeVisible();
    const first = (
      await t
        .getByRole('heading', { level: 2, name: /Quayside|Millbrook/ })
        .first()
        .innerText()
    ).trim();
    const [sharing, listening] = first === 'Quayside' ? [quayside, millbrook] : [millbrook, quayside];
    await expect(sharing.page.getByText('Your group is sharing now.')).toBeVisible();
    await expect(listening.page.getByText(`Your group is next, after ${first}.`)).toBeVisible();
    await expect(wall.getByText(first, { exact: true })).toBeVisible();
    const turns = t.getByRole('list', { name: 'Order of groups' }).getByRole('listitem');
    await expect(turns).toHaveCount(2);
    await expect(turns.nth(0)).toHaveText(/\d (min|s)$/);
    await t.keyboard.press('n');
    await expect(listening.page.getByText('Your group is sharing now.')).toBeVisible();
    await expect(turns.nth(0)).toHaveText(first);
    await expect(turns.nth(1)).toHaveText(/\d (min|s)$/);
  });

  await test.step('work is shown in one press, without names until they are wanted', async () => {
    await t.getByRole('button', { name: 'Quayside', exact: false }).filter({ hasText: 'Quayside' }).first().click();
    const before = presses();
    await t.getByRole('button', { name: 'Show to everyone' }).first().click();
    expect(presses()).toBe(before + 1);
    for (const page of [quayside.page, millbrook.page, wall]) {
      await expect(page.getByText('The wall goes behind the yard.')).toBeVisible();
    }
    await expect(wall.getByRole('heading', { name: 'Quayside' })).toHaveCount(0);
    await t.getByRole('button', { name: 'Show names' }).click();
    await expect(wall.getByRole('heading', { name: /Quayside/ })).toBeVisible();
  });

  await test.step('it follows what is written; what the teacher points at is lit up everywhere', async () => {
    await quayside.page.getByRole('button', { name: 'Back to my page' }).click();
    await quayside.page.getByRole('button', { name: 'See our worksheet' }).click();
    await quayside.page.getByLabel('Together').fill('The wall goes behind the mill.');
    await expect(wall.getByText('The wall goes behind the mill.')).toBeVisible();
    const shown = t.getByRole('region', { name: 'On every screen' });
    await shown.getByText('mill.', { exact: true }).click();
    await expect(wall.locator('[data-pointed]')).toHaveText('mill.');
    await expect(millbrook.page.locator('[data-pointed]')).toHaveText('mill.');
  });

  await test.step('taken down, it is nowhere any more', async () => {
    await t.getByRole('button', { name: 'Stop showing' }).first().click();
    for (const page of [millbrook.page, wall]) await expect(page.getByText('behind the mill')).toHaveCount(0);
    await millbrook.page.reload();
    await expect(millbrook.page.getByText(`${millbrook.name} ·`)).toBeVisible();
    await expect(millbrook.page.getByText('behind the mill')).toHaveCount(0);
  });

  await test.step('somebody is called on in one press, and everybody sees who', async () => {
    const before = presses();
    await t.getByRole('button', { name: 'Call on someone' }).click();
    expect(presses()).toBe(before + 1);
    const called = (
      await t.getByRole('region', { name: 'Call on a student' }).locator('.font-head').innerText()
    ).trim();
    expect([quayside.name, millbrook.name]).toContain(called);
    await expect(wall.getByText(called, { exact: true })).toBeVisible();
    const page = called === quayside.name ? quayside.page : millbrook.page;
    await expect(page.getByText('Your teacher is asking you.')).toBeVisible();
    await t.getByRole('button', { name: 'Answered' }).click();
    await expect(page.getByText('Your teacher is asking you.')).toHaveCount(0);
  });
});

test('a quick question, a sum over all groups, and the gallery', async ({ browser }) => {
  const t = await teacher(browser);
  const { lesson, quayside, millbrook } = await worked(browser, t, '8D Gallery');
  await millbrook.page.getByRole('button', { name: 'Open our worksheet' }).click();
  await millbrook.page.getByLabel('Together').fill('Along the quay.');
  await expect(millbrook.page.getByText('Saved')).toBeVisible();
  await give(t, lesson.id, { kind: 'callBack', seconds: 0 });
  await toShareOut(t, lesson.id);

  await test.step('asked in a line, answered in one press, shown when the teacher says so', async () => {
    await t.getByRole('button', { name: 'Ask everyone something' }).click();
    await t.getByLabel('Question for everyone').fill('Build it?');
    await t.getByRole('button', { name: 'Ask everyone', exact: true }).click();
    await quayside.page.getByRole('button', { name: 'Yes' }).click();
    await expect(quayside.page.getByText('Your answer: Yes.', { exact: false })).toBeVisible();
    await expect(t.getByText(/^1 of \d have answered$/)).toBeVisible();
    await expect(millbrook.page.getByText(/have answered/)).toHaveCount(0);
    await t.getByRole('button', { name: 'Show answers to everyone' }).click();
    await expect(millbrook.page.getByText(/^1 of \d have answered$/)).toBeVisible();
    await t.getByRole('button', { name: 'Close', exact: true }).click();
    await t.getByRole('button', { name: 'Hide answers' }).click();
    await expect(millbrook.page.getByText('Build it?')).toHaveCount(0);
  });

  await test.step('what all groups have written stands together, question by question', async () => {
    await t.getByRole('tab', { name: 'Work', exact: true }).click();
    await t.getByRole('tab', { name: 'By question' }).click();
    await expect(t.getByRole('figure').filter({ hasText: 'Along the quay.' })).toBeVisible();
  });

  await test.step('all work is open in one press, and closed there is no trace of it', async () => {
    const presses = await countPresses(t);
    await t.getByRole('button', { name: 'Let everyone see all the work' }).click();
    expect(presses()).toBe(1);
    await t.getByLabel('Each student may leave one short remark').check();
    await quayside.page.getByRole('button', { name: 'See everyone’s work' }).click();
    await quayside.page.getByRole('button', { name: /Millbrook/ }).click();
    await expect(quayside.page.getByText('Along the quay.')).toBeVisible();
    await quayside.page.getByLabel(/Your remark/).fill('Well seen.');
    await quayside.page.getByRole('button', { name: 'Send' }).click();
    await expect(t.getByText('Well seen.')).toBeVisible();
    await t.getByRole('button', { name: 'Close the gallery' }).click();
    await expect(quayside.page.getByText('Along the quay.')).toHaveCount(0);
    await expect(quayside.page.getByRole('button', { name: 'See everyone’s work' })).toHaveCount(0);
  });
});
