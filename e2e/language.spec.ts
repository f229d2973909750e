import { expect, type Page } from '@playwright/test';
import { inOtherWords, isInOtherWords } from './support/language';
import { teacher } from './support/people';
import { readyLesson } from './support/plan';
import { test } from './support/test';

const names = ['Άλφα', 'Βήτα', 'Γάμμα', 'Δέλτα'];
const groups = ['Αυγή', 'Δύση'];
const phone = { width: 390, height: 844 };

/** Presses the button or link that a key of the catalogue names, whatever it says. */
const press = (page: Page, selector: string) => page.locator(selector).filter({ visible: true }).first().click();

test('in another language nothing stays in English, nothing is cut, and the pages are mirrored', async ({
  browser,
  baseURL,
}) => {
  const base = baseURL ?? '';
  const plain = await teacher(browser);
  const lesson = await readyLesson(plain, { name: 'Θ9', students: names, groups });
  const demo = (await (await plain.request.get('/api/staff/classes')).json()) as { name: string; doorWord: string }[];
  const lessons = (await (await plain.request.get('/api/staff/lessons')).json()) as { title: string }[];
  const written = [
    ...demo.flatMap((one) => [one.name, one.doorWord]),
    ...lessons.map((one) => one.title),
    lesson.title,
    lesson.doorWord,
    'The sheet',
    'Nobody',
    'What do you see?',
    'What do you all say?',
    'Ines Halvorsen-Okoro',
    new URL(base).host,
    'student',
  ];

  const context = await inOtherWords(browser, base, { width: 1280, height: 800 });
  const t = await context.newPage();
  const looksRight = (where: string, page: Page = t) => isInOtherWords(page, where, written);

  await test.step('the way in', async () => {
    await t.goto('/');
    await expect(t.locator('input[type="password"]')).toBeVisible();
    await looksRight('sign in');
    await t.locator('input[type="email"], input[name="email"]').first().fill('teacher@larkmouth.example');
    await t.locator('input[type="password"]').fill('wrong-password');
    await t.keyboard.press('Enter');
    await expect(t.getByText('⟦Ţĥé éɱàîĺ', { exact: false })).toBeVisible();
    await looksRight('a wrong password');
    await t.locator('input[type="password"]').fill('harbour-lights');
    await t.keyboard.press('Enter');
    await expect(t.getByText('9G Geography').first()).toBeVisible();
    await looksRight('classes');
  });

  await test.step('planning', async () => {
    await t.goto(`/classes/${lesson.classId}`);
    await expect(t.getByText(names[0] ?? '').first()).toBeVisible();
    await looksRight('the class');
    await t.goto(`/lessons/${lesson.id}`);
    await expect(t.locator('[data-stop^="table:"]')).toHaveCount(2);
    await looksRight('groups');
    for (const view of ['rooms', 'original', 'work']) {
      await t.goto(`/lessons/${lesson.id}?view=${view}`);
      await expect(t.locator('aside')).toBeVisible();
      await t.waitForTimeout(500);
      await looksRight(view);
    }
    await t.goto(`/groupings/${lesson.floor.id}`);
    await expect(t.locator('[data-stop^="table:"]')).toHaveCount(2);
    await looksRight('making groups');
  });

  const student = await (await inOtherWords(browser, base, phone)).newPage();
  await test.step('a student joins', async () => {
    await student.goto('/student');
    await looksRight('which class', student);
    await student.locator('input[name="door"]').fill(lesson.doorWord);
    await student.keyboard.press('Enter');
    await expect(student.getByText('Θ9').first()).toBeVisible();
    await looksRight('which name', student);
    await student.locator('input').first().fill('Nobody');
    await student.keyboard.press('Enter');
    await expect(student.getByText('⟦Ţĥîš ñàɱé îšñ’ţ', { exact: false })).toBeVisible();
    await looksRight('an unknown name', student);
    await student
      .locator('input')
      .first()
      .fill(names[0] ?? '');
    await student.keyboard.press('Enter');
    await expect(student.getByText(`${names[0] ?? ''} ·`)).toBeVisible();
    await looksRight('waiting', student);
  });

  await test.step('the lesson', async () => {
    await plain.request.patch(`/api/staff/segments/${lesson.round.segmentId}`, { data: { lookSeconds: 0 } });
    const sent = await plain.request.post(`/api/staff/lessons/${lesson.id}/commands`, {
      data: { kind: 'sendOut' },
      headers: { 'Idempotency-Key': crypto.randomUUID() },
    });
    expect(sent.ok(), await sent.text()).toBe(true);
    await t.goto(`/lessons/${lesson.id}`);
    await expect(t.locator('aside button').first()).toBeVisible();
    await looksRight('at work');
    const [aside, main] = await Promise.all([t.locator('aside').boundingBox(), t.locator('main').boundingBox()]);
    expect(aside?.x ?? 1e9).toBeLessThan(main?.x ?? 0);
    await press(t, '[data-stop^="table:"]');
    await looksRight('what can be done with a group');
    await t.keyboard.press('Escape');
    await press(t, '[data-stop^="tag:"]');
    await looksRight('what can be done with a student');
    await t.keyboard.press('Escape');
    await expect(student.getByText(/Αυγή|Δύση/).first()).toBeVisible();
    await looksRight('at work', student);
    await t.goto(lesson.classPage);
    await expect(t.getByText(names[1] ?? '').first()).toBeVisible();
    await looksRight('class page');
  });
});
