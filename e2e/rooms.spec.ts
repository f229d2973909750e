import { expect } from '@playwright/test';
import { choose, student, teacher } from './support/people';
import { readyLesson } from './support/plan';
import { test } from './support/test';

test('groups meet by links of the teacher’s own: pasted, tried, opened by the lead; and then in the classroom', async ({
  browser,
  baseURL,
}) => {
  const t = await teacher(browser);
  // A link serves one class only, and this may run again on the same data. What lies behind it is on this machine.
  const place = `${(baseURL ?? '').replace(/^http:\/\//, '')}/r${Date.now()}`;
  const names = ['Ada', 'Ben', 'Chi', 'Dov'];
  const lesson = await readyLesson(t, { name: 'Own links', students: names, groups: ['Quayside', 'Millbrook'] });
  await t.goto(`/lessons/${lesson.id}`);
  await expect(t.getByText('Not ready')).toBeVisible();

  await test.step('links are pasted: each line says what becomes of it', async () => {
    await t.getByRole('tab', { name: 'Rooms' }).click();
    await choose(t, 'Groups meet', 'at links of your own');
    await t.getByRole('button', { name: 'Choose where 2 groups meet' }).click();
    const sheet = t.getByRole('dialog', { name: 'Paste links' });
    const lines = sheet.getByRole('textbox', { name: 'Links' });
    // A line that is refused leaves its own group without a link, and shifts no other.
    await lines.fill(`Millbrook: http://${place}/m\nmain http://${place}/all\njavascript:alert(1)\nhttp://${place}/q`);
    await expect(sheet.getByText('A link to a room starts with https://')).toBeVisible();
    await expect(sheet.getByRole('button', { name: 'Use 2 links' })).toBeVisible();
    await lines.fill(`Millbrook: http://${place}/m\nmain http://${place}/all\nhttp://${place}/q/?utm_source=mail`);
    await sheet.getByRole('button', { name: 'Use 3 links' }).click();
    await expect(sheet).toBeHidden();
    await expect(t.getByRole('row', { name: /Quayside/ })).toContainText(`${place}/q`);
    await expect(t.getByRole('row', { name: /Millbrook/ })).toContainText(`${place}/m`);
    await expect(t.getByText('Ready', { exact: true })).toBeVisible();
    await expect(t.getByText('Nobody has tried 3 links yet.')).toBeVisible();
  });

  await test.step('the same link for two groups is refused at its field', async () => {
    await t.getByRole('button', { name: 'Change Quayside' }).click();
    const slip = t.getByRole('dialog', { name: 'Quayside' });
    await slip.getByRole('textbox', { name: 'Link' }).fill(`HTTP://${place.replace('.0.0.', '.%30.0.')}//m/#top`);
    await slip.getByRole('button', { name: 'Change', exact: true }).click();
    await expect(slip.getByText(/Millbrook.* already uses this link/)).toBeVisible();
    await t.keyboard.press('Escape');
    await expect(slip).toBeHidden();
    await expect(t.getByRole('row', { name: /Quayside/ })).toContainText(`${place}/q`);
  });

  await test.step('a link is tried, and she says that was it', async () => {
    const [room] = await Promise.all([
      t.context().waitForEvent('page'),
      t.getByRole('link', { name: 'Try Quayside' }).click(),
    ]);
    await room.waitForURL(`http://${place}/q/?utm_source=mail`);
    await room.close();
    await t.getByRole('button', { name: 'Yes' }).click();
    await expect(t.getByRole('row', { name: /Quayside/ })).toContainText('tried');
    await expect(t.getByText('Nobody has tried 2 links yet.')).toBeVisible();
  });

  await test.step('the lead opens the room, the other waits, and comes in when it is open', async () => {
    await t.getByRole('button', { name: 'Names, opening' }).click();
    await t.getByLabel('Role that opens rooms').fill('lead');
    await t.keyboard.press('Enter');
    await expect(t.getByText(/nobody in .* has this role/)).toBeVisible();
    const given = await t.request.patch(`/api/staff/groupings/${lesson.floor.id}`, {
      data: { numbers: { roles: [{ number: 1, role: 'lead' }], tasks: [] } },
    });
    expect(given.ok()).toBe(true);
    await t.reload();
    await expect(t.getByText('Ready', { exact: true })).toBeVisible();
    const floor = lesson.floor.groups[0]?.students ?? [];
    const nameOf = (id: string | undefined) => lesson.students.find((one) => one.id === id)?.name ?? '';
    const lead = await student(browser, lesson.doorWord, nameOf(floor[0]));
    const mate = await student(browser, lesson.doorWord, nameOf(floor[1]));
    await t.getByRole('button', { name: /^Send 4 students/ }).click();
    await expect(mate.page.getByText(`Wait: ${lead.name} opens the room.`)).toBeVisible();
    await expect(mate.page.locator('a[href="/api/student/room"]')).toHaveCount(0);
    await expect(lead.page.getByRole('link', { name: /^Open the .* room$/ })).toBeVisible();
    await lead.page.getByRole('button', { name: 'It’s open now' }).click();
    await expect(mate.page.getByRole('link', { name: /^Go to the .* room$/ })).toBeVisible();
    await mate.page.getByRole('link', { name: /^Go to the .* room$/ }).click();
    await t.getByRole('tab', { name: 'Groups' }).click();
    await expect(
      t.locator('[data-stop^="tag:"]', { hasText: mate.name }),
      'who has followed the link is taken to be there',
    ).toHaveAttribute('aria-label', /in place/i);
    await lead.context.close();
    await mate.context.close();
  });

  await test.step('in the classroom a table is a room, and may have the name of a place', async () => {
    const other = await readyLesson(t, { name: 'Classroom', students: names, groups: ['Quayside', 'Millbrook'] });
    await t.goto(`/lessons/${other.id}?view=rooms`);
    await choose(t, 'Groups meet', 'in the classroom');
    await expect(t.getByText('Ready', { exact: true })).toBeVisible();
    await t.getByRole('button', { name: 'Create 3 rooms' }).click();
    await t.getByRole('button', { name: 'Change Millbrook' }).click();
    await t.getByLabel('Where is it?').fill('The window table');
    await t.getByRole('dialog', { name: 'Millbrook' }).getByRole('button', { name: 'Change' }).click();
    await expect(t.getByRole('row', { name: /Millbrook/ })).toContainText('The window table');
    const millbrook = other.floor.groups.find((group) => group.name === 'Millbrook')?.students[0];
    const one = await student(browser, other.doorWord, other.students.find((who) => who.id === millbrook)?.name ?? '');
    await t.getByRole('button', { name: /^Send 4 students/ }).click();
    await expect(one.page.getByText('Go to: The window table')).toBeVisible();
    await one.context.close();
  });
});
