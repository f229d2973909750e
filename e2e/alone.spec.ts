import { expect } from '@playwright/test';
import { goToRoom, student, teacher } from './support/people';
import { readyLesson } from './support/plan';
import { test } from './support/test';

test('an exit ticket is written, opens at its own moment, and is found again in the next lesson', async ({
  browser,
}) => {
  const t = await teacher(browser);
  const lesson = await readyLesson(t, {
    name: '7T Tickets',
    students: ['Ada', 'Ben', 'Chi', 'Dov'],
    groups: ['Quayside', 'Millbrook'],
  });
  const ada = await student(browser, lesson.doorWord, 'Ada');

  await test.step('in the running order she adds a part in which everybody works alone, and writes the ticket', async () => {
    await t.goto(`/lessons/${lesson.id}`);
    await t.getByRole('button', { name: 'Add' }).first().click();
    await t.getByRole('menuitem', { name: /Alone/ }).click();
    await t.getByRole('button', { name: /^Alone, / }).click();
    await t.getByRole('button', { name: 'Create a new worksheet' }).click();
    await t.getByRole('button', { name: 'Question: one answer each' }).click();
    await t.getByPlaceholder('What do students do here?').fill('What will you remember tomorrow?');
    await expect(t.getByText('Opens in minute', { exact: false })).toBeVisible();
    await expect(t.getByText('Saved')).toBeVisible();
  });

  await test.step('groups go out, and nobody sees it yet', async () => {
    await t.getByRole('button', { name: /^Set up/ }).click();
    await t.getByRole('button', { name: /^Send (4|out)/ }).click();
    await expect(ada.page.getByRole('button', { name: 'Open our worksheet' })).toBeVisible();
    await expect(ada.page.getByText('Exit ticket')).toHaveCount(0);
    await t.getByRole('button', { name: /Call everyone back/ }).click();
    await expect(t.getByRole('button', { name: /Next: Alone/ })).toBeVisible();
    await t.getByRole('button', { name: /Next: Alone/ }).click();
  });

  await test.step('now it is the thing to do, each on their own', async () => {
    await ada.page.getByRole('button', { name: 'Exit ticket' }).click();
    await ada.page.getByLabel('Your answer').fill('Walls move the water on.');
    await expect(ada.page.getByText('Saved')).toBeVisible();
    await t.getByRole('tab', { name: 'Work', exact: true }).click();
    await expect(t.getByText('Walls move the water on.')).toBeVisible();
  });

  await test.step('the lesson ends, what it leaves can only be read, and she finds it in the next lesson', async () => {
    await t.request.patch(`/api/staff/lessons/${lesson.id}`, { data: { locksAtEnd: true } });
    await t.request.post(`/api/staff/lessons/${lesson.id}/commands`, {
      data: { kind: 'end' },
      headers: { 'Idempotency-Key': crypto.randomUUID() },
    });
    const next = (await (
      await t.request.post(`/api/staff/classes/${lesson.classId}/lessons`, {
        data: { title: 'Next week', minutes: 50, from: lesson.id, groups: 'newPartners' },
        headers: { 'Idempotency-Key': crypto.randomUUID() },
      })
    ).json()) as { id: string };
    await t.request.post(`/api/staff/lessons/${next.id}/current`, { data: {} });
    await ada.page.goto('/student');
    await ada.page.getByRole('button', { name: 'Earlier worksheets' }).click();
    await expect(ada.page.getByRole('heading', { name: '7T Tickets lesson' })).toBeVisible();
    await ada.page.getByRole('button', { name: /Exit ticket/ }).click();
    await expect(ada.page.getByText('Walls move the water on.')).toBeVisible();
    await expect(ada.page.getByRole('textbox')).toHaveCount(0);
  });
});

test('a place on a worksheet for two of the four, and what the others see of it', async ({ browser }) => {
  const t = await teacher(browser);
  const lesson = await readyLesson(t, {
    name: '7T Pairs',
    students: ['Ada', 'Ben', 'Chi', 'Dov'],
    groups: ['Quayside'],
    original: false,
  });
  await t.goto(`/lessons/${lesson.id}?view=original`);
  await t.getByRole('button', { name: 'Create a new worksheet' }).click();
  await t.getByRole('button', { name: '+ Question: one answer together' }).click();
  await t.getByPlaceholder('What do students do here?').last().fill('Only for the first two');
  await t.getByRole('button', { name: 'One answer together: more' }).last().click();
  await t.getByRole('menuitem', { name: 'Only for some of the group' }).click();
  await t.getByLabel('Seat numbers').fill('1, 2');
  await t.getByLabel('The rest of the group can’t see it').check();
  await expect(t.getByText('Saved')).toBeVisible();
  await t.getByRole('button', { name: /^Set up .* and 1 copy/ }).click();
  await t.getByRole('button', { name: /^Send (4|out)/ }).click();
  const seats = (
    (await (await t.request.get(`/api/staff/lessons/${lesson.id}`)).json()) as typeof lesson
  ).floor.groups[0]?.students.map((id) => lesson.students.find((one) => one.id === id)?.name ?? '');
  const [one, , three] = await Promise.all((seats ?? []).map((name) => student(browser, lesson.doorWord, name)));
  if (one === undefined || three === undefined) throw new Error('nobody sits there');

  await one.page.getByRole('button', { name: 'Open our worksheet' }).click();
  const place = one.page.locator('section', { hasText: 'Only for the first two' }).last();
  await expect(place.getByText(`For you and ${seats?.[1] ?? ''}`)).toBeVisible();
  await place.getByLabel('Together').fill('We think it floods.');
  await expect(place.getByText('Saved')).toBeVisible();

  await three.page.getByRole('button', { name: 'Open our worksheet' }).click();
  const others = three.page.locator('section', { hasText: 'Only for the first two' }).last();
  await expect(others.getByText('Only they can see what is written here.')).toBeVisible();
  await expect(others.getByRole('textbox')).toHaveCount(0);
  await expect(three.page.getByText('We think it floods.')).toHaveCount(0);
});

test('one group’s room allows what the others do not, and its page shows what is on', async ({ browser }) => {
  const t = await teacher(browser);
  const lesson = await readyLesson(t, {
    name: '7T Rooms',
    students: ['Ada', 'Ben', 'Chi', 'Dov'],
    groups: ['Quayside', 'Millbrook'],
  });
  await t.goto(`/lessons/${lesson.id}?view=rooms`);
  await t.getByRole('button', { name: /^Set up/ }).click();
  await expect(t.getByText('Everything is in place.')).toBeVisible();
  await t.getByRole('button', { name: 'Change Quayside' }).click();
  await t.getByRole('button', { name: 'Text chat' }).click();
  await t.getByRole('option', { name: 'no', exact: true }).click();
  await t.getByRole('button', { name: 'Recording' }).click();
  await t.getByRole('option', { name: 'yes', exact: true }).click();
  await t.getByRole('dialog').getByRole('button', { name: 'Change', exact: true }).click();
  await expect(t.getByText('no text chat · recording allowed')).toBeVisible();
  await t.getByRole('button', { name: /^Send (4|out)/ }).click();
  const groups = ((await (await t.request.get(`/api/staff/lessons/${lesson.id}`)).json()) as typeof lesson).floor
    .groups;
  const nameOf = (id: string | undefined) => lesson.students.find((one) => one.id === id)?.name ?? '';
  const here = await student(browser, lesson.doorWord, nameOf(groups[0]?.students[0]));
  const there = await student(browser, lesson.doorWord, nameOf(groups[1]?.students[0]));
  const [quayside, millbrook] = [await goToRoom(here), await goToRoom(there)];
  await quayside.getByRole('button', { name: 'Record' }).click();
  await expect(quayside.getByText('This room is being recorded.')).toBeVisible();
  await expect(quayside.getByText('Text chat is off.')).toBeVisible();
  await expect(millbrook.getByText('Recording is off.')).toBeVisible();
  await millbrook.getByLabel('Write to everyone in this room').fill('Hello');
  await millbrook.getByRole('button', { name: 'Send', exact: true }).click();
  await expect(millbrook.getByText(`${there.name}: Hello`)).toBeVisible();
});
