import { expect, type Page } from '@playwright/test';
import { teacher } from './support/people';
import { readyLesson } from './support/plan';
import { test } from './support/test';

const phone = { width: 390, height: 844 };

/** The voice of the device writes down what it would say. */
async function listenTo(page: Page) {
  await page.addInitScript(() => {
    const said: string[] = [];
    Object.defineProperty(window, 'saidAloud', { value: said });
    Object.defineProperty(window, 'speechSynthesis', {
      value: {
        getVoices: () => [],
        cancel: () => undefined,
        speak: (one: SpeechSynthesisUtterance) => said.push(`${one.lang}: ${one.text}`),
      },
    });
  });
  return () => page.evaluate(() => (window as unknown as { saidAloud: string[] }).saidAloud.splice(0));
}

test('children who cannot read find their picture, hear what to do, and press one thing at a time', async ({
  browser,
}) => {
  const t = await teacher(browser);
  const lesson = await readyLesson(t, {
    name: '1B',
    students: ['Ada', 'Ben', 'Chi', 'Dov'],
    groups: ['Quayside', 'Millbrook'],
    round: { lookSeconds: 0, instructions: 'Ble mae’r wal?' },
  });

  await test.step('on the class page the teacher says that they cannot read yet, and in which language she writes', async () => {
    await t.goto(`/classes/${lesson.classId}`);
    await t.getByRole('button', { name: 'Join settings' }).click();
    await t.getByLabel('Students can’t read yet').click();
    await t.getByRole('button', { name: 'Language for reading your texts aloud' }).click();
    await t.getByRole('option', { name: 'Your texts in Welsh' }).click();
    await t.getByLabel('Students may pick their name from a list').click();
    await expect(t.getByLabel('Students may pick their name from a list')).toBeChecked();
    await t.keyboard.press('Escape');
    await expect(t.getByRole('img', { name: 'cat' })).toBeVisible();
    await t.goto(`/lessons/${lesson.id}`);
  });

  const slips = (await (await t.request.get(`/api/staff/rounds/${lesson.round.id}/paper`)).json()) as {
    slips: { name: string; pass: string }[];
  };
  const ada = await (await browser.newContext({ viewport: phone })).newPage();
  const ben = await (await browser.newContext({ viewport: phone })).newPage();
  const [adaHears, benHears] = [await listenTo(ada), await listenTo(ben)];

  await test.step('Ada’s slip lets her in with nothing to read or type', async () => {
    await ada.goto(slips.slips.find((one) => one.name === 'Ada')?.pass ?? '');
    await expect(ada.getByRole('img', { name: 'cat' })).toBeVisible();
    await expect.poll(adaHears).toContain('en: Hello Ada.');
  });

  await test.step('Ben finds his picture among the others', async () => {
    await ben.goto(`/student?door=${encodeURIComponent(lesson.doorWord)}`);
    await expect(ben.getByRole('button', { name: /Chi/ })).toBeVisible();
    expect(await benHears()).toContain('en: Find your picture, and press it.');
    await ben.getByRole('button', { name: /Ben/ }).click();
    await expect(ben.getByRole('button', { name: 'Say it again' })).toBeVisible();
  });

  await test.step('groups go out: she hears whose group is hers and what to press, in the language it is written in', async () => {
    await adaHears();
    await t.getByRole('button', { name: /^Set up/ }).click();
    await t.getByRole('button', { name: /^Send (4|out)/ }).click();
    await expect(ada.getByRole('link', { name: 'To your group' })).toBeVisible();
    const heard: string[] = [];
    await expect
      .poll(async () => {
        heard.push(...(await adaHears()));
        return heard;
      })
      .toContain('en: Press the big door. It takes you to your group.');
    expect(heard.join(' ')).toMatch(/en: Your group is (Quayside|Millbrook)\. Its sign is the (wave|key)\./);
    expect(heard).toContain('cy-GB: Ble mae’r wal?');
    await ada.getByRole('button', { name: 'Say it again' }).click();
    expect(heard.slice(-5)).toEqual(await adaHears());
  });

  await test.step('in the room the pencil opens the worksheet, and every place on it reads itself out', async () => {
    const [room] = await Promise.all([
      ada.context().waitForEvent('page'),
      ada.getByRole('link', { name: 'To your group' }).click(),
    ]);
    await expect(room.getByRole('heading', { name: 'Here now' })).toBeVisible();
    await ada.getByRole('button', { name: 'Worksheet: The sheet' }).click();
    await ada.getByRole('button', { name: 'Listen' }).first().click();
    expect(await adaHears()).toContain('cy-GB: What do you see?');
    await ada.getByRole('button', { name: 'Back' }).click();
    await ada.getByRole('button', { name: 'Ask for help' }).click();
    await expect(ada.getByRole('button', { name: 'Stop asking for help' })).toBeVisible();
    await expect.poll(adaHears).toContain('en: Your teacher knows.');
  });
});
