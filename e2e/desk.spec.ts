import { expect, type Locator, type Page } from '@playwright/test';
import { choose, drag, find, seats, tag, teacher } from './support/people';
import { workbook } from './support/workbook';
import { test } from './support/test';

const family = [
  'Abernethy',
  'Bjarkan',
  'Castellano',
  'Dembélé',
  'Eskelund',
  'Farouk',
  'Gruber',
  'Hsiao',
  'Iwata',
  'Jóns',
];
const given = [
  'Aldo',
  'Birgit',
  'Ceren',
  'Dov',
  'Edda',
  'Faisal',
  'Greta',
  'Hye-jin',
  'Ivo',
  'Jamila',
  'Kwame',
  'Lotte',
];
const languages = ['Somali', 'Polish', 'Ukrainian', 'English', 'English'];

/** A list as schools keep them: a title above, a running number, names in two columns, a doubled row, gaps, a total. */
function messy(students: number): { file: Buffer; names: string[] } {
  const names: string[] = [];
  const rows: (string | number)[][] = [
    ['Autumn term, set 2'],
    [],
    ['No.', 'Surname', 'First name', 'Level', 'Home language', 'Lead', 'Email'],
  ];
  for (let i = 0; i < students; i++) {
    const first = given[i % given.length] ?? '';
    const last = family[Math.floor(i / given.length) % family.length] ?? '';
    names.push(`${first} ${last}`);
    const language = languages[i % languages.length] ?? '';
    rows.push([
      i + 1,
      last,
      ` ${first} `,
      i % 7 === 3 ? '' : 1 + (i % 5),
      language,
      i % 4 === 0 ? 'x' : '',
      `${first}@school.example`,
    ]);
    if (i % 11 === 5) rows.push([]);
  }
  rows.push(
    [1, family[0] ?? '', given[0] ?? '', 1, 'Somali', 'x', ''],
    ['', '', '', `=SUM(D4:D${students})`, '', '', ''],
  );
  return { file: workbook(rows), names };
}

async function addRule(panel: Locator, kind: string, one: string, other: string) {
  await find(panel, 'Student 1', one);
  await find(panel, 'Student 2', other);
  await choose(panel, 'Kind of rule', kind);
  await panel.getByRole('button', { name: 'Add rule' }).click();
  await expect(panel.getByText(`${one} and ${other} ${kind}`)).toBeVisible();
}

async function groupOf(page: Page, name: string): Promise<string> {
  for (const [group, members] of await seats(page)) if (members.includes(name)) return group;
  return '';
}

test('a number typed and a press at once: what is pressed is what is shown', async ({ browser }) => {
  const t = await teacher(browser);
  await t.getByRole('button', { name: 'New class' }).click();
  await t.getByLabel('Class name').fill('At once');
  await t
    .getByLabel('Paste here')
    .fill(Array.from({ length: 24 }, (_, i) => `Pupil ${String.fromCharCode(65 + i)}${i}a`).join('\n'));
  await t.getByRole('button', { name: 'Create class with 24 students' }).click();
  await t.getByRole('button', { name: 'Make groups' }).click();
  const put = t.getByRole('button', { name: /^Put 24 students into/ });
  for (const groups of [6, 5, 8, 4, 7]) {
    await t.getByLabel('How many').fill(String(groups));
    // The mouse goes straight there: the field is left by the press itself.
    await put.hover();
    await t.mouse.down();
    await t.mouse.up();
    await expect(t.locator('[data-stop^="table:"]')).toHaveCount(groups);
    await expect(put).toHaveAccessibleName(`Put 24 students into ${groups} groups`);
  }
});

for (const { students, groups } of [
  { students: 28, groups: 7 },
  { students: 120, groups: 30 },
]) {
  test(`from a messy spreadsheet to groups a teacher would defend, ${students} students`, async ({ browser }) => {
    const t = await teacher(browser);
    const { file, names } = messy(students);
    const [a = '', b = '', c = '', d = '', e = ''] = names;

    await test.step('a messy spreadsheet is brought in, and again changes nothing', async () => {
      await t.getByRole('button', { name: 'New class' }).click();
      await t.getByLabel('Class name').fill(`Set of ${students}`);
      await t.getByRole('button', { name: 'Create class' }).click();
      await expect(t.getByRole('heading', { name: `Set of ${students}` })).toBeVisible();
      const upload = { name: 'set.xlsx', mimeType: 'application/octet-stream', buffer: file };
      await t.getByLabel('Choose a file').setInputFiles(upload);
      await expect(t.getByText('is already in line 4')).toBeVisible();
      await expect(t.getByText('Above the heading')).toBeVisible();
      await t.getByRole('button', { name: `Add ${students} students` }).click();
      await expect(t.getByText(`${students} students added`)).toBeVisible();
      await expect(t.getByRole('columnheader', { name: 'Home language' })).toBeVisible();
      await t.getByRole('button', { name: 'Import list' }).click();
      await t.getByLabel('Choose a file').setInputFiles(upload);
      await expect(t.getByRole('button', { name: 'Nothing to import' })).toBeDisabled();
      await expect(t.getByText(`${students} unchanged`)).toBeVisible();
    });

    await test.step('two musts and three goals', async () => {
      await t.getByRole('button', { name: 'Make groups' }).click();
      await choose(t, 'How to make groups', 'Balanced: by goals and rules');
      await t.getByLabel('How many').fill(String(groups));
      await t.getByLabel('How many').press('Enter');
      const rules = t.getByRole('region', { name: 'Rules and wishes' });
      await addRule(rules, 'apart', a, b);
      await addRule(rules, 'together', c, d);
      for (const goal of [
        'Level mixed',
        '“Lead” in each group',
        'Nobody without someone who shares their home language',
      ]) {
        await choose(t, 'Add goal', goal);
        await expect(t.getByRole('region', { name: 'Goals' }).getByText(goal)).toBeVisible();
      }
      await t.getByRole('button', { name: '“Lead” in each group: more important' }).click();
      await expect(t.getByRole('region', { name: 'Goals' }).getByRole('listitem').first()).toContainText(
        '“Lead” in each group',
      );
    });

    await test.step('it runs, is watched, and is stopped', async () => {
      await t.getByRole('button', { name: `Put ${students} students into ${groups} groups` }).click();
      await expect(t.getByText('Preview. Your groups haven’t changed yet')).toBeVisible();
      await expect(t.getByRole('meter', { name: '“Lead” in each group' })).toHaveAttribute('aria-valuenow', '100');
      const stop = t.getByRole('button', { name: 'Stop looking' });
      if (await stop.isVisible()) await stop.click();
      await t.getByRole('button', { name: 'Use these groups' }).click();
      await expect(t.getByText('Preview. Your groups haven’t changed yet')).toHaveCount(0);
      await expect(t.locator('[data-stop^="table:"]')).toHaveCount(groups);
      expect(await groupOf(t, a)).not.toBe(await groupOf(t, b));
      expect(await groupOf(t, c)).toBe(await groupOf(t, d));
      await expect(t.getByRole('button', { name: 'Undo', exact: true })).toBeEnabled();
    });

    await test.step('one tag is moved by keyboard, and what it breaks is said before', async () => {
      const theirs = await groupOf(t, b);
      await tag(t, a).focus();
      await t.keyboard.press(' ');
      const table = t.locator(`[data-stop^="table:"][aria-label^="${theirs},"]`);
      await expect(table.locator('xpath=ancestor::li[1]').getByText(/^breaks/)).toBeVisible();
      await table.focus();
      const meaning = `${theirs} breaks: ${a} and ${b} apart`;
      await expect(t.getByRole('region', { name: 'Not in a group' }).getByText(meaning)).toBeVisible();
      const home = t.locator('[data-stop^="table:"]').filter({ hasNotText: theirs }).last();
      const name = (await home.getAttribute('aria-label'))?.replace(/, \d+ students?$/, '') ?? '';
      await home.focus();
      await t.keyboard.press(' ');
      await expect.poll(() => groupOf(t, a)).toBe(name);
    });

    await test.step('another is dragged by mouse; a seat is fixed and stays', async () => {
      const to = await groupOf(t, a);
      await drag(t, tag(t, e), t.locator(`[data-stop^="table:"][aria-label^="${to},"]`));
      await expect.poll(() => groupOf(t, e)).toBe(to);
      await tag(t, e).click();
      await t.getByRole('button', { name: 'Keep this seat' }).click();
      await expect(tag(t, e)).toHaveAccessibleName(/fixed seat/);
      const running = t.getByRole('button', { name: `Put ${students} students into ${groups} groups` });
      await running.click();
      await t.getByRole('button', { name: 'Use these groups' }).click();
      await expect.poll(() => groupOf(t, e)).toBe(to);
      await expect(t.getByText('Preview. Your groups haven’t changed yet')).toHaveCount(0);
    });

    await test.step('two go absent, one comes late; the groups are mended with the moves shown first', async () => {
      const group = await groupOf(t, e);
      const mates = ((await seats(t)).get(group) ?? []).filter((name) => name !== e).slice(0, 2);
      for (const [i, name] of mates.entries()) {
        await tag(t, name).click();
        await t.getByRole('button', { name: 'Absent today' }).click();
        await expect(t.getByRole('dialog')).toHaveCount(0);
        // It is said above the floor, which makes room for it: the next is pressed where it lies then.
        await expect(
          t.getByText(i === 0 ? '1 student in a group is absent' : '2 students in groups are absent'),
        ).toBeVisible();
      }
      const desk = t.url();
      await t.getByRole('link', { name: `Set of ${students}` }).click();
      await t.getByRole('button', { name: 'Import list' }).click();
      await t.getByLabel('Paste here').fill('Late Comer');
      await t.getByRole('button', { name: 'Add 1 student' }).click();
      await expect(t.getByText('1 student added')).toBeVisible();
      await t.goto(desk);
      await expect(t.getByText('2 students in groups are absent, 1 student is not in a group')).toBeVisible();
      await t.getByRole('button', { name: 'Fix the groups' }).click();
      const sheet = t.getByRole('dialog');
      await expect(sheet.getByText(/^Late Comer: /)).toBeVisible();
      await sheet.getByRole('button', { name: 'Apply changes' }).click();
      await expect(sheet).toHaveCount(0);
      await expect.poll(() => groupOf(t, 'Late Comer')).not.toBe('');
      expect(await groupOf(t, e)).toBe(group);
      await expect(t.getByText('Fix the groups')).toHaveCount(0);
    });

    await test.step('it is printed', async () => {
      await t.getByText('Print and export').click();
      const [plan] = await Promise.all([
        t.waitForEvent('download'),
        t.getByRole('menuitem', { name: 'Group plan (PDF)' }).click(),
      ]);
      expect(plan.suggestedFilename()).toMatch(/^Set of \d+ · Groups 1\.pdf$/);
      await t.getByText('Print and export').click();
      const [list] = await Promise.all([
        t.waitForEvent('download'),
        t.getByRole('menuitem', { name: 'List (CSV)' }).click(),
      ]);
      expect(await list.failure()).toBeNull();
    });
  });
}
