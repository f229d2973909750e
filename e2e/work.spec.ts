import { devices, expect, type Page } from '@playwright/test';
import { isOpenToAll } from './support/access';
import { readyLesson } from './support/plan';
import { choose, find, student, teacher } from './support/people';
import { countPresses } from './support/presses';
import { test } from './support/test';

const parts = ['Quayside', 'Millbrook', 'Saltmarsh', 'Station End', 'Orchard Hill', 'Upper Lark'];

test('one original becomes the work of six groups, and of each student in them', async ({ browser }) => {
  const t = await teacher(browser);
  const names = Array.from({ length: 18 }, (_, i) => `Pupil ${String.fromCharCode(65 + i)}`);
  const lesson = await readyLesson(t, { name: 'The work', students: names, groups: parts, original: false });
  await t.goto(`/lessons/${lesson.id}`);
  const presses = await countPresses(t);
  const add = async (page: number, kind: string) => {
    await t.getByRole('button', { name: `Add to page ${page}` }).click();
    await t.getByRole('menuitem', { name: kind }).click();
  };
  const pasted = (text: string) =>
    t.evaluate((pasting) => {
      const data = new DataTransfer();
      data.setData('text', pasting);
      document.activeElement?.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      );
    }, text);

  await test.step('a long text is cut into six variants at its marks', async () => {
    await t.getByRole('tab', { name: 'Materials', exact: true }).click();
    await t.getByRole('button', { name: 'Create a new worksheet' }).click();
    await t.getByLabel('Title', { exact: true }).fill('Six districts');
    await t.getByRole('button', { name: '+ Text' }).click();
    await t
      .getByLabel('Text', { exact: true })
      .fill(parts.map((part) => `## ${part}\n\nThe water at **${part}** rises fast.`).join('\n\n---\n\n'));
    await t.getByRole('button', { name: 'Split the text into variants (6 parts' }).click();
    await expect(t.getByLabel('Variant name').nth(5)).toHaveValue('Upper Lark');
    await t.getByRole('button', { name: 'Variants: 6' }).click();
  });

  await test.step('a question, nine cards from a list, a text to mark', async () => {
    await t.getByRole('button', { name: '+ Question: one answer each' }).click();
    await t.keyboard.type('What do you notice?');
    await add(1, 'Cards to sort');
    await t.keyboard.type('Put each measure where it belongs.');
    await t.getByLabel('Headings, 1').fill('stops water');
    await t.getByLabel('Headings, 2').fill('slows water');
    await t.getByRole('button', { name: 'Add card' }).click();
    await pasted(
      [
        'Flood wall;stops water',
        'Gate;stops water',
        'Dam;stops water',
        'Reeds;slows water',
        'Wider bed;slows water',
        'Ponds;slows water',
        'Stilts',
        'Sandbags',
        'Sirens',
      ].join('\n'),
    );
    await add(1, 'Text to mark up');
    await t.keyboard.type('Mark what matters.');
    await t.getByLabel('Text to mark', { exact: true }).fill('The wall stops the water but not the rain.');
    await expect(t.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  });

  await test.step('an instruction that can be heard, and room for pictures', async () => {
    await add(1, 'Voice note');
    await t.keyboard.type('Listen first');
    await t.getByRole('button', { name: 'Record', exact: true }).click();
    await t.getByRole('button', { name: 'Stop (1 s)' }).click();
    await expect(t.getByRole('button', { name: 'Record again' })).toBeVisible();
    await add(1, 'Students’ pictures');
    await t.keyboard.type('Draw your wall.');
    await expect(t.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  });

  await test.step('each group gets its part, and the teacher sees what a student will', async () => {
    await t.getByRole('button', { name: 'Variants in order' }).click();
    await expect(t.getByRole('button', { name: 'Variant of Six districts for Upper Lark' })).toContainText(
      'Upper Lark',
    );
    await t.getByRole('button', { name: 'As a student sees it' }).click();
    await expect(t.getByText('Try it: nothing you fill in here is saved.')).toBeVisible();
    await isOpenToAll(t, 'materials');
    await t.getByRole('button', { name: 'Set up 7 rooms and 6 copies' }).click();
    await expect(t.getByText('6 copies handed out')).toBeVisible();
    console.log(`One original for six groups: ${presses()} presses.`);
  });

  await test.step('the page of student 17, before it is theirs', async () => {
    await t.getByRole('tab', { name: 'Groups', exact: true }).click();
    await t.getByRole('button', { name: 'View as a student', exact: true }).click();
    const seen = t.getByRole('dialog');
    await find(seen, 'Student', names[16] ?? '');
    await expect(seen.getByText(`${names[16] ?? ''} ·`)).toBeVisible();
    await seen.getByRole('button', { name: 'Not you?' }).click(); // it is looked at, and nobody leaves
    await seen.getByRole('button', { name: 'Open our worksheet' }).click();
    await expect(seen.getByText('What do you notice?')).toBeVisible();
    await isOpenToAll(t, 'as a student sees it');
    await t.keyboard.press('Escape');
  });

  await test.step('the same lesson for a second class, and what it could not have', async () => {
    const before = presses();
    await choose(t, 'Copy to another class', 'For 9G Geography');
    await expect(t.getByText('Rooms and copies belong to a class, so make them here.')).toBeVisible();
    console.log(`Given to a second class: ${presses() - before} presses.`);
    await expect(t.getByRole('link', { name: '9G Geography' })).toBeVisible();
    await t.getByRole('tab', { name: 'Materials', exact: true }).click();
    await expect(t.getByRole('button', { name: 'Variant of Six districts for Group' })).toHaveCount(6);
    await expect(t.getByText('Rooms and copies belong to a class, so make them here.')).toBeVisible();
    await t.goto(`/lessons/${lesson.id}`);
    await t.getByRole('button', { name: 'Send 18 students to 6 rooms' }).click();
  });

  await test.step('the class page shows everybody where they belong, to who has only its address', async () => {
    await t.getByRole('button', { name: 'show how to join' }).click();
    const address = await t.getByRole('link', { name: 'Class page for the projector' }).getAttribute('href');
    await t.keyboard.press('Escape');
    const wall = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await wall.goto(address ?? '');
    for (const part of parts) await expect(wall.getByRole('heading', { name: part })).toBeVisible();
    for (const name of names) await expect(wall.getByText(name, { exact: true })).toBeVisible();
    const size = await wall
      .getByText(names[0] ?? '', { exact: true })
      .evaluate((one) => getComputedStyle(one).fontSize);
    expect(parseFloat(size)).toBeGreaterThanOrEqual(28);
    await isOpenToAll(wall, 'the class page');
    await wall.context().close();
  });

  await test.step('a slip for everybody, eight to a sheet, and its code is the way in', async () => {
    const slips = await t.context().newPage();
    const { round } = (await (await t.request.get(`/api/staff/lessons/${lesson.id}`)).json()) as {
      round: { id: string };
    };
    await slips.goto(`/rounds/${round.id}/slips`);
    await expect(slips.locator('.slip')).toHaveCount(names.length);
    const pdf = (await slips.pdf({ preferCSSPageSize: true })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(Math.ceil(names.length / 8));
    await isOpenToAll(slips, 'slips');
    await slips.goto(`/rounds/${round.id}/plan`);
    for (const name of names) await expect(slips.getByText(name, { exact: true })).toBeVisible();
    await isOpenToAll(slips, 'the plan of the groups');
    expect((await slips.pdf({ preferCSSPageSize: true })).toString('latin1').match(/\/Type\s*\/Page\b/g)).toHaveLength(
      1,
    );
    await slips.close();
    const paper = (await (await t.request.get(`/api/staff/rounds/${round.id}/paper`)).json()) as {
      slips: { name: string; pass: string }[];
    };
    const last = paper.slips.at(-1);
    const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await phone.goto(last?.pass ?? '');
    await expect(phone.getByText(`${last?.name ?? ''} ·`)).toBeVisible();
    expect(phone.url()).not.toContain('pass');
    await phone.context().close();
  });

  const state = (await (await t.request.get(`/api/staff/lessons/${lesson.id}`)).json()) as {
    floor: { groups: { name: string; students: string[] }[] };
    students: { id: string; name: string }[];
  };
  const nameOf = (group: number, seat: number) =>
    state.students.find((one) => one.id === state.floor.groups[group]?.students[seat])?.name ?? '';
  const open = async (name: string): Promise<Page> => {
    const { page } = await student(browser, lesson.doorWord, name);
    await page.getByRole('button', { name: 'Open our worksheet' }).click();
    return page;
  };
  const ada = await open(nameOf(1, 0));
  const ben = await open(nameOf(1, 1));
  const cho = await open(nameOf(4, 0));

  await test.step('everybody has their group’s part and no other', async () => {
    await expect(ada.getByRole('heading', { name: 'Millbrook', level: 4 })).toBeVisible();
    await expect(cho.getByRole('heading', { name: 'Orchard Hill', level: 4 })).toBeVisible();
    await expect(cho.getByText('Millbrook')).toHaveCount(0);
  });

  await test.step('cards are sorted by press, by keys and by drag, and mates see it', async () => {
    const heap = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
    await ada.getByRole('button', { name: 'Gate', exact: true }).click();
    await heap(ada, 'stops water').getByRole('button', { name: 'Put it here' }).click();
    await expect(heap(ben, 'stops water').getByRole('button', { name: 'Gate', exact: true })).toBeVisible();
    await expect(ben.getByRole('status').filter({ hasText: 'moved “Gate” under “stops water”' })).toBeAttached();
    await ben.getByRole('button', { name: 'Reeds', exact: true }).focus();
    await ben.keyboard.press('Enter');
    await heap(ben, 'slows water').getByRole('button', { name: 'Put it here' }).focus();
    await ben.keyboard.press('Enter');
    await expect(heap(ada, 'slows water').getByRole('button', { name: 'Reeds', exact: true })).toBeVisible();
    await ada.getByRole('button', { name: 'Stilts', exact: true }).scrollIntoViewIfNeeded();
    await ada.getByRole('button', { name: 'Stilts', exact: true }).hover();
    await ada.mouse.down();
    const to = await heap(ada, 'slows water').boundingBox();
    await ada.mouse.move((to?.x ?? 0) + 60, (to?.y ?? 0) + 40, { steps: 8 });
    await expect(heap(ada, 'slows water')).toHaveClass(/bg-wash/); // it shows where it would land
    await ada.mouse.up();
    await expect(heap(ben, 'slows water').getByRole('button', { name: 'Stilts', exact: true })).toBeVisible();
    await expect(cho.getByText('9 cards to sort')).toBeVisible();
  });

  await test.step('cards and words answer to a finger', async () => {
    const touch = await browser.newContext({ ...devices['Pixel 7'], storageState: await cho.context().storageState() });
    const page = await touch.newPage();
    await page.goto('/student');
    await page.getByRole('button', { name: 'Open our worksheet' }).tap();
    await page.getByRole('button', { name: 'Dam', exact: true }).tap();
    await page.getByRole('region', { name: 'stops water' }).getByRole('button', { name: 'Put it here' }).tap();
    await page.getByRole('button', { name: 'water', exact: true }).first().tap();
    await page.getByRole('button', { name: 'water', exact: true }).first().tap();
    await expect(page.getByRole('button', { name: 'water: Important' })).toBeVisible();
    await expect(cho.getByText('8 cards to sort')).toBeVisible();
    await expect(cho.getByRole('button', { name: 'water: Important' })).toBeVisible();
    await touch.close();
  });

  await test.step('words are marked and remarked on, by two at once', async () => {
    await ada.getByRole('button', { name: 'wall', exact: true }).click();
    await ada.getByRole('button', { name: 'stops', exact: true }).click();
    await ada.getByLabel('Your comment').fill('how high?');
    await ben.getByRole('radio', { name: 'Question' }).click();
    await ben.getByRole('button', { name: 'rain.', exact: true }).click();
    await ben.getByRole('button', { name: 'rain.', exact: true }).click();
    await expect(ada.getByRole('button', { name: 'rain.: Question' })).toBeVisible();
    await expect(ben.getByText('how high?').first()).toBeVisible();
    await isOpenToAll(ada, 'a sheet with cards and marks');
  });

  await test.step('the instruction sounds on a phone', async () => {
    await expect
      .poll(() =>
        ben.locator('audio').evaluate(async (audio: HTMLAudioElement) => {
          await audio.play();
          return audio.currentTime > 0 && audio.duration > 0.5;
        }),
      )
      .toBe(true);
  });

  await test.step('a picture of their own is put in, named, and seen by mates and nobody else', async () => {
    const slot = (page: Page) => page.locator('section').filter({ hasText: 'Draw your wall.' }).last();
    await slot(ada)
      .getByLabel('Add a picture')
      .first()
      .setInputFiles({ name: 'wall.png', mimeType: 'image/png', buffer: await ada.screenshot() });
    await slot(ada).getByLabel('Picture 1: What does it show?').fill('Our wall');
    await expect(slot(ben).getByRole('img', { name: 'Our wall' })).toBeVisible();
    await slot(ben)
      .getByLabel('Add a picture')
      .first()
      .setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('<svg onload="alert(1)"/>') });
    await expect(slot(ben).getByRole('alert')).toContainText('This file isn’t a picture');
    await isOpenToAll(ben, 'a sheet with pictures');
    await expect(slot(cho).getByText('No pictures yet.')).toBeVisible();
  });

  await test.step('the teacher reads it all', async () => {
    await ada.getByLabel('Your answer').fill('It is low here.');
    await t.getByRole('tab', { name: 'Work', exact: true }).click();
    await t.getByRole('button', { name: 'Open Millbrook’s copy' }).click();
    const copy = t.getByRole('dialog');
    await expect(copy.getByText('It is low here.')).toBeVisible();
    await expect(copy.getByText('how high?')).toBeVisible();
    await expect(copy.getByRole('img', { name: 'Our wall' })).toBeVisible();
    await expect(copy.getByText('6 cards to sort')).toBeVisible();
    await isOpenToAll(t, 'a copy');
    await t.keyboard.press('Escape');
  });

  await test.step('a page is added to the copies, and nothing that was done is touched', async () => {
    await t.getByRole('tab', { name: 'Materials', exact: true }).click();
    await t.getByRole('button', { name: 'Add page' }).click();
    await t
      .getByRole('region', { name: 'Page 2' })
      .getByRole('button', { name: '+ Question: one answer together' })
      .click();
    await t.keyboard.type('And now decide.');
    await t.getByRole('button', { name: 'Update the copies' }).click();
    await expect(t.getByRole('dialog').getByText('in 6 copies')).toBeVisible();
    await isOpenToAll(t, 'what a change would do');
    await t.getByRole('button', { name: 'Update the copies' }).click();
    await expect(ben.getByText('And now decide.')).toBeVisible();
    await expect(ben.getByText('how high?').first()).toBeVisible();
    await expect(ben.getByText('It is low here.', { exact: true })).toBeVisible();
  });

  await test.step('what stood there before is brought back', async () => {
    const decide = ben
      .locator('section')
      .filter({ has: ben.getByRole('heading', { name: 'And now decide.' }) })
      .last();
    await decide.getByLabel('Together').fill('A wall.');
    await expect(decide.getByText('Saved')).toBeVisible();
    await expect(ada.getByLabel('Together').last()).toHaveValue('A wall.');
    await ada.getByLabel('Together').last().fill('No wall at all.');
    await expect(decide.getByLabel('Together')).toHaveValue('No wall at all.');
    await decide.getByRole('button', { name: 'Earlier versions' }).click();
    await decide.getByRole('button', { name: 'Restore' }).click();
    await expect(ada.getByLabel('Together').last()).toHaveValue('A wall.');
    await isOpenToAll(ben, 'what stood there before');
  });

  await test.step('the cupboard has it', async () => {
    await t.getByRole('link', { name: 'My worksheets' }).click();
    await expect(t.getByRole('heading', { name: 'Six districts' }).first()).toBeVisible();
    await isOpenToAll(t, 'the cupboard');
    const text = '---\ntitle: From a file\n---\nRead this.\n\n::: ticks\nDone?\n- read\n- said\n:::\n';
    await t
      .getByLabel('Import from a file')
      .first()
      .setInputFiles({ name: 'sheet.md', mimeType: 'text/markdown', buffer: Buffer.from(text) });
    await expect(t.getByLabel('Title', { exact: true })).toHaveValue('From a file');
    await expect(t.getByLabel('Checklist, 2')).toHaveValue('said');
  });
});
