import { expect, type Page } from '@playwright/test';
import { isOpenToAll } from './support/access';
import { choose, teacher } from './support/people';
import { countPresses } from './support/presses';
import { test } from './support/test';

const parts = ['Quayside', 'Millbrook', 'Saltmarsh', 'Station End', 'Orchard Hill', 'Upper Lark'];
const given = 'Ada Ben Chi Dov Esi Fay Gil Hye Ivo Jan Kim Lea Max Noa Olu Pia Rui Sam'.split(' ');

/** A class of eighteen and an empty lesson of theirs. */
async function emptyLesson(t: Page, name: string, family: string) {
  const made = await t.request.post('/api/staff/classes', {
    data: { name, names: given.map((one) => `${one} ${family}`).join('\n') },
  });
  const { id } = (await made.json()) as { id: string };
  const lesson = await t.request.post(`/api/staff/classes/${id}/lessons`, {
    data: { title: 'Where does the wall go?', minutes: 50 },
  });
  return { class: id, lesson: ((await lesson.json()) as { id: string }).id };
}

const ready = (page: Page) => expect(page.getByText('Ready', { exact: true }), 'ready').toBeVisible();

/** What a teacher did of an evening: from an empty lesson to ready, then the same for two more classes. */
test('the evening before: three classes made ready', async ({ browser }) => {
  const one = await teacher(browser);
  const t = one;
  const run = String(Date.now()).slice(-7);
  const first = await emptyLesson(t, `8A ${run}`, 'Larkin');
  const second = await emptyLesson(t, `8B ${run}`, 'Moor');
  const third = await emptyLesson(t, `8C ${run}`, 'Tarn');

  await test.step('six groups, six variants, rooms of our own, posts', async () => {
    await t.goto(`/lessons/${first.lesson}`);
    const presses = await countPresses(t);
    await t.getByRole('button', { name: 'Put 18 students into random groups' }).click();
    await expect(t.getByText('18 students in 5 groups')).toBeVisible();
    await t.getByLabel('How many', { exact: true }).fill('6');
    await t.getByRole('button', { name: 'Make random groups again' }).click();
    await expect(t.getByText('18 students in 6 groups')).toBeVisible();
    await t.getByRole('button', { name: 'Create a worksheet' }).click();
    await t.getByLabel('Title', { exact: true }).fill('Six shores');
    await t.getByRole('button', { name: '+ Text' }).click();
    await t
      .getByLabel('Text', { exact: true })
      .fill(parts.map((part) => `## ${part}\n\nThe water at **${part}** rises fast.`).join('\n\n---\n\n'));
    await t.getByRole('button', { name: 'Split the text into variants (6 parts' }).click();
    await t.getByRole('button', { name: 'Variants: 6' }).click();
    await t.getByRole('button', { name: '+ Question: one answer each' }).click();
    await t.keyboard.type('What do you notice?');
    await t.getByRole('button', { name: '+ Question: one answer together' }).click();
    await t.keyboard.type('Our decision');
    await expect(t.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
    await t.getByRole('button', { name: 'Variants in order' }).click();
    await t.getByRole('button', { name: 'Choose posts and emails' }).click();
    await t.getByLabel('Post to each group in the course portal').check();
    await t.getByLabel('Course unit').fill('Unit 3: Coasts');
    await isOpenToAll(t, 'what is sent');
    await t.keyboard.press('Escape');
    await t.getByRole('button', { name: 'See all steps' }).click();
    const list = t.getByRole('dialog', { name: 'Set-up steps' });
    await expect(list.getByRole('region', { name: 'Group 6' })).toContainText('Make a copy of “Six shores”');
    await isOpenToAll(t, 'the set-up list');
    // Rooms of our own are there when groups are.
    await expect(list.getByText('Create the room')).toHaveCount(0);
    await list.getByRole('button', { name: 'Set up 6 copies and 6 posts' }).click();
    await ready(t);
    await expect(t.getByText('6 posts', { exact: false })).toBeVisible();
    await expect(t.getByRole('button', { name: 'Send 18 students to 6 rooms' })).toBeVisible();
    console.log(`The first class, from an empty lesson to ready: ${presses()} presses.`);
    expect(presses()).toBeLessThan(25);
  });

  await test.step('the portal shows each student their own group’s post', async () => {
    const view = (await (await t.request.get(`/api/staff/lessons/${first.lesson}`)).json()) as {
      round: { id: string };
      floor: { groups: { name: string; students: string[] }[] };
      students: { id: string; name: string }[];
    };
    const { portal } = (await (await t.request.get(`/api/staff/rounds/${view.round.id}/sending`)).json()) as {
      portal: string;
    };
    await t.goto(portal);
    await expect(t.getByRole('article')).toHaveCount(6);
    await expect(t.getByText('Unit: Unit 3: Coasts')).toHaveCount(6);
    const own = view.floor.groups[2];
    const name = view.students.find((one) => one.id === own?.students[0])?.name ?? '';
    await t.getByRole('link', { name }).click();
    await expect(t.getByRole('article')).toHaveCount(1);
    await expect(t.getByRole('heading', { name: `Where does the wall go? · ${own?.name ?? ''}` })).toBeVisible();
  });

  await test.step('a second class with links of the teacher’s own', async () => {
    const t = await one.context().newPage();
    await t.goto(`/lessons/${first.lesson}`);
    const presses = await countPresses(t);
    await choose(t, 'Copy to another class', `For 8B ${run}`);
    await expect(t.getByRole('link', { name: `8B ${run}` })).toBeVisible();
    await t.getByRole('tab', { name: 'Rooms', exact: true }).click();
    await t.getByRole('button', { name: 'Paste links' }).click();
    await t
      .getByLabel('Links', { exact: true })
      .fill(
        Array.from({ length: 7 }, (_, i) => `${i === 0 ? 'main ' : ''}https://meet.larkmouth.example/${run}-${i}`).join(
          '\n',
        ),
      );
    await t.getByRole('button', { name: /^Use/ }).click();
    await t.getByRole('button', { name: 'Set up 6 copies and 6 posts' }).click();
    await ready(t);
    console.log(`The second class, with links pasted: ${presses()} presses.`);
    expect(presses()).toBeLessThan(8);
  });

  await test.step('a third in the classroom', async () => {
    const t = await one.context().newPage();
    await t.goto(`/lessons/${first.lesson}`);
    const presses = await countPresses(t);
    await choose(t, 'Copy to another class', `For 8C ${run}`);
    await expect(t.getByRole('link', { name: `8C ${run}` })).toBeVisible();
    await t.getByRole('tab', { name: 'Rooms', exact: true }).click();
    await choose(t, 'Groups meet', 'in the classroom');
    await t.getByRole('button', { name: 'Set up 6 copies and 6 posts' }).click();
    await ready(t);
    console.log(`The third class, in the classroom: ${presses()} presses.`);
  });
  expect([second.class, third.class]).not.toContain(first.class);
});
