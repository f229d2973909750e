import { expect, type Page } from '@playwright/test';
import type { components } from '../web/src/api/generated';
import { student, teacher } from './support/people';
import { readyLesson } from './support/plan';
import { test } from './support/test';

type Copy = components['schemas']['CopyView'];
type Step = components['schemas']['StepView'];

const names = ['Ada', 'Ben', 'Chi', 'Dov', 'Esi', 'Fay'];
const lines = (...texts: string[]) => texts.map((text, i) => ({ id: `i${i}`, text }));
const six = (what: string) => lines(...names.map((_, i) => `${what} ${i + 1}`));

const blocks = [
  { id: 'each', kind: 'each', text: 'What do you see?' },
  { id: 'together', kind: 'together', text: 'What do you all say?' },
  {
    id: 'sort',
    kind: 'sort',
    text: 'Sort them.',
    settings: { items: six('card'), heads: lines('left', 'right'), growing: true },
  },
  { id: 'ticks', kind: 'ticks', text: 'Tick them.', settings: { items: six('line') } },
  { id: 'table', kind: 'table', text: 'Fill it.', settings: { items: six('row'), heads: lines('cell') } },
  {
    id: 'marks',
    kind: 'markUp',
    text: 'Mark it.',
    settings: { passage: 'one two three four five six.', heads: lines('Important') },
  },
  { id: 'mend', kind: 'mend', text: 'Mend them.', settings: { items: six('sentence') } },
  { id: 'choose', kind: 'choose', text: 'Choose.', settings: { items: lines('this', 'that') } },
  { id: 'pictures', kind: 'ownPictures', text: 'Show it.' },
];
/** One point. */
const png = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);
const words = ['one', 'two', 'three', 'four', 'five', 'six.'];

const slot = (page: Page, prompt: string) =>
  page
    .locator('section')
    .filter({ has: page.getByRole('heading', { name: prompt, exact: true }) })
    .last();

test('six work in every kind of slot at once, lines are cut and tabs closed, and nothing is lost', async ({
  browser,
}) => {
  const t = await teacher(browser);
  const lesson = await readyLesson(t, { name: 'Six', students: names, groups: ['Quayside'], original: false });
  await t.request.post(`/api/staff/rounds/${lesson.round.id}/originals`, {
    data: { title: 'The sheet', basedOn: 0, pages: [{ id: 'p', title: '', blocks }] },
  });
  await t.request.post(`/api/staff/rounds/${lesson.round.id}/copies`);
  const sent = await t.request.post(`/api/staff/lessons/${lesson.id}/commands`, {
    data: { kind: 'sendOut' },
    headers: { 'Idempotency-Key': crypto.randomUUID() },
  });
  expect(sent.ok()).toBe(true);
  const people = await Promise.all(names.map((name) => student(browser, lesson.doorWord, name)));
  const pages = people.map((one) => one.page);
  await Promise.all(pages.map((page) => page.getByRole('button', { name: 'Open our worksheet' }).click()));
  const typed: string[] = [];
  const say = (who: number, what: string) => {
    const word = `${names[who] ?? ''}${what}`;
    typed.push(word);
    return word;
  };

  const work = async (page: Page, i: number) => {
    await page.getByLabel('Your answer').pressSequentially(say(i, 'sees'), { delay: 15 });
    await page
      .getByLabel('Together', { exact: true })
      .pressSequentially(` ${say(i, 'says')} ${say(i, 'again')}`, { delay: 25 });
    const sort = slot(page, 'Sort them.');
    const put = sort
      .getByRole('region', { name: i % 2 === 0 ? 'left' : 'right', exact: true })
      .getByRole('button', { name: 'Put it here' });
    // Others take their cards away meanwhile, and a card may slip from under the hand.
    await expect(async () => {
      await sort.getByRole('button', { name: `card ${i + 1}`, exact: true }).click();
      await expect(put).toBeVisible({ timeout: 1_000 });
    }).toPass();
    await put.click();
    const own = sort.getByLabel('Your own card');
    await own.fill(say(i, 'card'));
    await expect(async () => {
      await sort.getByRole('button', { name: 'Add', exact: true }).click();
      await expect(own).toHaveValue('', { timeout: 1_000 });
    }).toPass();
    await expect(() => page.getByLabel(`line ${i + 1}`, { exact: true }).check()).toPass();
    await page.getByLabel(`row ${i + 1}: cell`).pressSequentially(say(i, 'cell'), { delay: 15 });
    const word = slot(page, 'Mark it.').getByRole('button', { name: new RegExp(`^${words[i] ?? ''}`) });
    const remark = page.getByLabel('Your comment');
    await expect(async () => {
      if (!(await remark.isVisible())) await word.click();
      await expect(remark).toBeVisible({ timeout: 500 });
    }).toPass();
    await remark.fill(say(i, 'remarks'));
    await page.getByLabel(`Sentence ${i + 1}, corrected`).fill(say(i, 'mends'));
    await expect(() => page.getByRole('radio', { name: i % 2 === 0 ? /^this/ : /^that/ }).check()).toPass();
    await page.getByLabel('Add a picture').setInputFiles({ name: 'p.png', mimeType: 'image/png', buffer: png });
  };

  await test.step('all at once', async () => {
    await Promise.all(pages.map(work));
  });

  await test.step('two lines are cut while they write; one closes the tab in the middle of a word and comes back', async () => {
    const [, ben, chi, dov] = people;
    if (ben === undefined || chi === undefined || dov === undefined) throw new Error('Who is there?');
    await ben.context.setOffline(true);
    await chi.context.setOffline(true);
    await Promise.all([
      ben.page.getByLabel('Together', { exact: true }).pressSequentially(` ${say(1, 'offline')}`, { delay: 20 }),
      chi.page.getByLabel('row 1: cell').pressSequentially(` ${say(2, 'offline')}`, { delay: 20 }),
      dov.page.getByLabel('Together', { exact: true }).pressSequentially(` ${say(3, 'leaves')}`, { delay: 20 }),
      pages[0]?.getByLabel('row 1: cell').pressSequentially(` ${say(0, 'online')}`, { delay: 30 }),
    ]);
    await dov.page.close();
    await expect(slot(ben.page, 'What do you all say?').getByText(/^You’re offline/)).toBeVisible();
    await ben.context.setOffline(false);
    await chi.context.setOffline(false);
    const back = await dov.context.newPage();
    await back.goto('/student');
    await back.getByRole('button', { name: 'Open our worksheet' }).click();
    await expect(back.getByLabel('Together', { exact: true })).toHaveValue(/Dovleaves/);
    pages[3] = back;
  });

  const copy = async (): Promise<Copy> => {
    const answer = await t.request.get(`/api/staff/rounds/${lesson.round.id}/copies`);
    const [one] = (await answer.json()) as Copy[];
    if (one === undefined) throw new Error('There is no copy.');
    return one;
  };

  await test.step('all six show the same, and it is what the server holds', async () => {
    await expect
      .poll(
        async () => {
          const held = (await copy()).answers.find((one) => one.slot === 'together')?.text;
          const shown = await Promise.all(
            pages.map((page) => page.getByLabel('Together', { exact: true }).inputValue()),
          );
          return [...new Set([held, ...shown])].length;
        },
        { timeout: 60_000 },
      )
      .toBe(1);
    for (const page of pages) {
      for (const [i, name] of names.entries()) {
        await expect(page.getByLabel(`line ${i + 1}`, { exact: true })).toBeChecked();
        await expect(page.getByRole('button', { name: `${name}card`, exact: true })).toBeVisible();
        await expect(page.getByLabel(`row ${i + 1}: cell`)).toHaveValue(new RegExp(`${name}cell`));
        await expect(page.getByLabel(`Sentence ${i + 1}, corrected`)).toHaveValue(`${name}mends`);
        await expect(page.getByText(`${name}remarks`).first()).toBeVisible();
      }
      await expect(page.getByLabel('row 1: cell')).toHaveValue(/Chioffline/);
      await expect(slot(page, 'Show it.').getByRole('img')).toHaveCount(6);
    }
  });

  await test.step('every letter typed is in the copy or in its history', async () => {
    const now = await copy();
    const histories = await Promise.all(
      now.answers.map(async ({ slot: of, owner }) => {
        const answer = await t.request.get(`/api/staff/copies/${now.id}/slots/${of}/history/${owner}`);
        return ((await answer.json()) as Step[]).map((step) => step.text).join('\n');
      }),
    );
    const all = histories.join('\n');
    expect(typed.filter((word) => !all.includes(word))).toEqual([]);
    expect(now.answers.filter((one) => one.slot === 'choose')).toHaveLength(6);
  });
});
