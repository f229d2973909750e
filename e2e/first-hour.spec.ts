import { expect, type Locator, type Page } from '@playwright/test';
import { seats } from './support/people';
import { test } from './support/test';

const given = 'Ada Ben Chi Dov Esi Fay Gil Hye Ivo Jan Kim Lea Max Noa Olu Pia Rui Sam Tea Una Vic Wen Yao Zoë'.split(
  ' ',
);
const list = [
  'Name;Table;Level',
  ...given.map((name, i) => `${name} Larkin;${'ABCDEF'[Math.floor(i / 4)] ?? ''};${1 + (i % 4)}`),
].join('\n');
/** What is added to the worksheet, and what is typed there. */
const worksheet = [
  ['+ Text', 'Larkmouth floods about once in eight years.'],
  ['+ Question: one answer each', 'What do you notice?'],
  ['+ Text', 'In a wet winter 310 mm of rain fall.'],
  ['+ Question: one answer each', 'What would you do?'],
  ['+ Question: one answer together', 'Our decision'],
] as const;
/** As many presses as the whole evening may take; typing is not counted. */
const most = 28;

/** Presses like a person does, and counts. */
function hand(page: Page) {
  let presses = 0;
  const press = async (what: Locator) => {
    presses++;
    await what.click();
  };
  return {
    press,
    button: (name: string | RegExp) => press(page.getByRole('button', { name, exact: typeof name === 'string' })),
    /** Typing a name and Enter: one press. */
    find: async (where: Locator, name: string) => {
      await where.fill(name);
      presses++;
      await where.press('Enter');
    },
    count: () => presses,
  };
}

test('from signing in to ready, in one sitting', async ({ browser }) => {
  const page = await (await browser.newContext()).newPage();
  const { press, button, find, count } = hand(page);

  await test.step('in, and a class of 24 with tables and levels', async () => {
    await page.goto('/');
    await page.getByLabel('Email').fill('teacher@larkmouth.example');
    await page.getByLabel('Password').fill('harbour-lights');
    await button('Sign in');
    await button('New class');
    await page.getByLabel('Class name').fill('7B Larkin');
    await page.getByLabel('Paste here').fill(list);
    await button('Create class with 24 students');
    await expect(page.getByRole('heading', { name: '7B Larkin' })).toBeVisible();
  });

  await test.step('two musts, and six groups mixed by level', async () => {
    await button('Make groups');
    const rules = page.getByRole('region', { name: 'Rules and wishes' });
    for (const [one, other] of [
      ['Ada Larkin', 'Ben Larkin'],
      ['Chi Larkin', 'Dov Larkin'],
    ] as const) {
      await find(rules.getByRole('combobox', { name: 'Student 1' }), one);
      await find(rules.getByRole('combobox', { name: 'Student 2' }), other);
      await press(rules.getByRole('button', { name: 'Add rule' }));
      await expect(rules.getByText(`${one} and ${other} apart`)).toBeVisible();
    }
    await button('Add goal');
    await press(page.getByRole('menuitem', { name: 'Level mixed' }));
    await expect(page.getByText('Groups are now balanced by goals and rules')).toBeVisible();
    await button('Put 24 students into 6 groups');
    await button(/^Use (it|this|these)/);
    await expect(page.locator('[data-stop^="table:"]')).toHaveCount(6);
    const tables = await seats(page);
    expect([...tables.values()].map((names) => names.length)).toEqual([4, 4, 4, 4, 4, 4]);
    expect([...tables.values()].some((names) => names.join().includes('Ada') && names.join().includes('Ben'))).toBe(
      false,
    );
  });

  await test.step('a lesson of 45 minutes with these groups, and a round of 15', async () => {
    await button('Use in a lesson');
    await expect(page.getByText('24 students in 6 groups')).toBeVisible();
    await button('Date and time');
    await page.getByLabel('Length in minutes').fill('45');
    await page.keyboard.press('Escape');
    await press(page.locator('summary', { hasText: 'Round 1' }));
    await page.getByLabel('Minutes in groups').fill('15');
    await page.getByLabel('What should they do?').fill('Look at the river. Write what you see.');
    await expect(page.getByRole('button', { name: 'Round 1, 15 minutes' })).toBeVisible();
  });

  await test.step('an original of five blocks, copies, ready', async () => {
    await button('Create a worksheet');
    await page.getByLabel('Title', { exact: true }).fill('The river');
    for (const [add, text] of worksheet) {
      await button(add);
      await page.keyboard.type(text);
    }
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await button('Set up 6 copies');
    await expect(page.getByText('Everything is in place.')).toBeVisible();
    await expect(page.getByRole('button', { name: /^Send/ }).last()).toBeVisible();
  });

  console.log(`From signing in to ready: ${count()} presses.`);
  expect(count()).toBeLessThan(most);
});

/**
 * Whoever always takes the most prominent button, and has never seen the product: what they press, one after the other.
 */
test('the first hour by the most prominent button: a lesson that is out, with groups mixed by level', async ({
  browser,
}) => {
  const page = await (await browser.newContext()).newPage();
  const pressed: string[] = [];
  const take = async (name: string | RegExp) => {
    const button = page.getByRole('button', { name, exact: typeof name === 'string' });
    await expect(button).toBeEnabled();
    pressed.push((await button.innerText()).replace(/\s+/g, ' ').trim());
    await button.click();
  };

  await page.goto('/');
  await page.getByLabel('Email').fill('teacher@larkmouth.example');
  await page.getByLabel('Password').fill('harbour-lights');
  await take('Sign in');
  await take('New class');
  await page.getByLabel('Class name').fill('7C Larkin');
  await page.getByLabel('Paste here').fill(list);
  await take('Create class with 24 students');
  await page.getByLabel('What is the lesson about?').fill('The river');
  await take('Create lesson');
  await take('Put 24 students into groups mixed by Level');
  await expect(page.locator('[data-stop^="table:"]')).toHaveCount(6);
  // Mixed means mixed: nobody who looks at the tables finds a group without a level that others have twice.
  const tables = await seats(page);
  const levels = [...tables.values()].map((names) =>
    names.map((name) => 1 + (given.indexOf(name.split(' ')[0] ?? '') % 4)),
  );
  expect(levels).toHaveLength(6);
  for (const group of levels) expect(new Set(group).size).toBe(4);
  await take('Create a worksheet');
  await page.getByLabel('Title', { exact: true }).fill('The river');
  for (const [add, text] of worksheet) {
    await take(add);
    await page.keyboard.type(text);
  }
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await take('Set up 6 copies');
  await expect(page.getByText('Everything is in place.')).toBeVisible();
  await take('Send 24 students to 6 rooms');
  await expect(page.getByText(/Starting|Call everyone back/).first()).toBeVisible();

  console.log(
    `The first hour by the most prominent button: ${pressed.length} presses.\n${pressed.map((one, i) => `  ${i + 1}. ${one}`).join('\n')}`,
  );
  expect(pressed.length).toBeLessThan(28);
});
