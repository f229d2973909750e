import { expect } from '@playwright/test';
import { student, teacher } from './support/people';
import { readyLesson } from './support/plan';
import { test } from './support/test';

test('each student gives a number, and over all groups the teacher sees one line of dots', async ({ browser }) => {
  const t = await teacher(browser);
  const names = ['Ada', 'Ben', 'Chi', 'Dov', 'Eli', 'Fay'];
  const lesson = await readyLesson(t, {
    name: '7N Numbers',
    students: names,
    groups: ['Quayside', 'Millbrook'],
    original: false,
  });
  await t.goto(`/lessons/${lesson.id}?view=original`);
  await t.getByRole('button', { name: 'Create a new worksheet' }).click();
  await t.getByRole('button', { name: 'Add to page 1' }).click();
  await t.getByRole('menuitem', { name: 'Question: one number each' }).click();
  await t.getByPlaceholder('What do students do here?').last().fill('How high was the flood, in metres?');
  await expect(t.getByText('Saved')).toBeVisible();
  await t.getByRole('button', { name: /^Set up .* and 2 copies/ }).click();
  await t.getByRole('button', { name: /^Send (6|out)/ }).click();

  const written = ['3,5', '4', '4', '12', '-1', '2.50'];
  const kept = ['3.5', '4', '4', '12', '-1', '2.5'];
  const people = await Promise.all(names.map((name) => student(browser, lesson.doorWord, name)));
  for (const [i, { page }] of people.entries()) {
    await page.getByRole('button', { name: 'Open our worksheet' }).click();
    const field = page.getByLabel('Your number');
    await field.fill('high');
    await field.blur();
    await expect(page.getByText('Enter one number, for example 12 or 3.5.')).toBeVisible();
    await field.fill(written[i] ?? '');
    await field.blur();
    await expect(page.getByText('Saved')).toBeVisible();
    await expect(field).toHaveValue(kept[i] ?? '');
  }

  await test.step('a group sees its own numbers, and nobody else’s', async () => {
    const [ada] = people;
    const groups = ((await (await t.request.get(`/api/staff/lessons/${lesson.id}`)).json()) as typeof lesson).floor
      .groups;
    const nameOf = (id: string) => lesson.students.find((one) => one.id === id)?.name ?? '';
    const isOurs = (name: string) =>
      groups.some((group) => [name, 'Ada'].every((one) => group.students.map(nameOf).includes(one)));
    for (const [i, name] of names.entries()) {
      if (name === 'Ada') continue;
      const line = ada?.page.getByRole('listitem').filter({ hasText: `${name} ${kept[i] ?? ''}` });
      await expect(line ?? t.locator('none')).toHaveCount(isOurs(name) ? 1 : 0);
    }
  });

  await t.getByRole('tab', { name: 'Work', exact: true }).click();
  const all = t.getByRole('region', { name: 'All numbers' });
  await expect(all.getByText('6 answers, from -1 to 12, middle 3.75')).toBeVisible();
  await expect(all.getByTitle('Dov: 12')).toBeVisible();
  await expect(all.getByTitle(/: /)).toHaveCount(6);

  await test.step('a changed number moves its dot', async () => {
    await people[3]?.page.getByLabel('Your number').fill('5');
    await expect(all.getByText('6 answers, from -1 to 5, middle 3.75')).toBeVisible();
  });
  await t.setViewportSize({ width: 1280, height: 800 });
  if (process.env.FH_LOOK !== undefined) {
    await t.screenshot({ path: `${process.env.FH_LOOK}/numbers.png` });
    await people[0]?.page.screenshot({ path: `${process.env.FH_LOOK}/number-student.png` });
  }
});
