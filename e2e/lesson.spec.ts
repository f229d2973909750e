import { expect, type Page } from '@playwright/test';
import type { components } from '../web/src/api/generated';
import { misbehave } from './support/machine';
import { choose, drag, goToRoom, seats, student, table, tag, teacher } from './support/people';
import { meetAtService } from './support/plan';
import { test } from './support/test';

const pasted =
  'Name\nAda Lundqvist\nBen Oduya\n\nChi Nakagawa\nada lundqvist\n12345\nDov Petrescu\nEsi Annan\nFay Okafor\nGil Haverkamp';

/** The student named is at this table. */
async function sitsAt(page: Page, name: string, group: string) {
  await expect.poll(async () => (await seats(page)).get(group)?.join('|')).toContain(name);
}

/** Deals again and waits until the floor shows what was dealt. */
async function dealAgain(page: Page) {
  const answered = page.waitForResponse(/\/deal$/);
  await page.getByRole('button', { name: 'Make random groups again' }).click();
  const floor = (await (await answered).json()) as components['schemas']['FloorView'];
  for (const group of floor.groups) {
    await expect(
      page.locator(`[data-stop="table:${group.id}"]`).locator('xpath=ancestor::li[1]').locator('[data-stop^="tag:"]'),
    ).toHaveCount(group.students.length);
    for (const student of group.students)
      await expect(
        page
          .locator(`[data-stop="table:${group.id}"]`)
          .locator('xpath=ancestor::li[1]')
          .locator(`[data-stop="tag:${student}"]`),
      ).toBeVisible();
  }
}

test('a lesson from the class list to groups at work and back', async ({ browser }) => {
  const t = await teacher(browser);

  await test.step('a class by pasting names', async () => {
    await t.getByRole('button', { name: 'New class' }).click();
    await t.getByLabel('Class name').fill('10F Rivers');
    await t.getByLabel('Paste here').fill(pasted);
    await expect(t.getByText('is already in line')).toBeVisible();
    await expect(t.getByText('has no letters')).toBeVisible();
    await t.getByRole('button', { name: 'Create class with 7 students' }).click();
    await expect(t.getByRole('heading', { name: '10F Rivers' })).toBeVisible();
    await t.getByRole('button', { name: 'Rename Dov Petrescu' }).click();
    await t.getByRole('textbox', { name: 'Rename Dov Petrescu' }).fill('David Petrescu');
    await t.keyboard.press('Enter');
    await expect(t.getByText('David Petrescu')).toBeVisible();
    await t.getByRole('button', { name: 'More about Fay Okafor' }).click();
    await t.getByRole('button', { name: 'Remove Fay Okafor' }).click();
    await expect(t.getByText('Fay Okafor was removed from the list.')).toBeVisible();
    await t.getByRole('button', { name: 'Undo' }).click();
    await expect(t.getByRole('button', { name: 'Rename Fay Okafor' })).toBeVisible();
    await t.getByLabel('Gil Haverkamp is absent today').check();
    await expect(t.getByText('6 of 7 students here')).toBeVisible();
  });

  const doorWord = await t.getByRole('button', { name: /: show how to join$/ }).innerText();

  await meetAtService(t, t.url().split('/').pop() ?? '');

  await test.step('a lesson and its round', async () => {
    await t.getByLabel('What is the lesson about?').fill('Where the river bends');
    await t.getByRole('button', { name: 'Create lesson' }).click();
    await t.locator('summary', { hasText: 'Round 1' }).click();
    await t.getByLabel('What should they do?').fill('Look at the bend. Write what you see.');
    await t.getByLabel('Seconds to find their group').fill('12');
    await t.getByLabel('Minutes in groups').fill('15');
    await t.getByLabel('Minutes in groups').press('Enter');
    await expect(t.getByRole('button', { name: 'Round 1, 15 minutes' })).toBeVisible();
    await expect(t.getByText('10 min free')).toBeVisible();
    await t.getByRole('button', { name: 'Fit to the lesson' }).click();
    await expect(t.getByText('50 of 50 min planned')).toBeVisible();
  });

  await test.step('groups on the floor: deal, fix, again', async () => {
    await t.getByLabel('How many').fill('2');
    await t.getByRole('button', { name: 'Make random groups', exact: true }).click();
    await expect(t.locator('[data-stop^="table:"]')).toHaveCount(2);
    await expect(t.locator('[data-stop][tabindex="0"]')).toHaveCount(1); // the floor is one stop of the Tab key
    await expect(t.getByText('6 students in 2 groups')).toBeVisible();
    const [first] = (await seats(t)).get('Group 1') ?? [];
    await tag(t, first ?? '').click();
    await t.getByRole('button', { name: 'Keep this seat' }).click();
    await expect(tag(t, first ?? '')).toHaveAccessibleName(/fixed seat/);
    for (let i = 0; i < 3; i++) {
      await dealAgain(t);
      await sitsAt(t, first ?? '', 'Group 1');
    }
  });

  await test.step('move and swap by mouse, by keyboard and by menu; undo and redo', async () => {
    const before = await seats(t);
    const [a = ''] = (before.get('Group 1') ?? []).slice(-1);
    const [b = ''] = (before.get('Group 2') ?? []).slice(-1);
    await drag(t, tag(t, a), tag(t, b));
    await sitsAt(t, b, 'Group 1');
    await sitsAt(t, a, 'Group 2');
    await t.getByRole('main').getByRole('button', { name: 'Undo' }).click();
    await sitsAt(t, a, 'Group 1');
    await t.keyboard.press('Control+y');
    await sitsAt(t, b, 'Group 1');
    await t.keyboard.press('Control+z');
    await sitsAt(t, a, 'Group 1');

    // Space picks up, arrows choose, Space puts down; then back the same way.
    await tag(t, a).focus();
    await t.keyboard.press(' ');
    await expect(t.getByText(`${a} picked up.`)).toBeAttached();
    await table(t, 'Group 2').focus();
    await t.keyboard.press(' ');
    await sitsAt(t, a, 'Group 2');
    await expect(tag(t, a)).toBeFocused(); // the focus goes with what was put down
    await tag(t, a).focus();
    await t.keyboard.press(' ');
    await t.keyboard.press('ArrowDown');
    await t.keyboard.press('Escape');
    await sitsAt(t, a, 'Group 2');

    // By menu: to the shelf, and back to a table.
    await tag(t, a).click();
    await t.getByRole('button', { name: 'Take out of the group' }).click();
    await expect(t.getByText('1 student not in a group').first()).toBeVisible();
    await tag(t, a).focus();
    await t.keyboard.press('Enter');
    await t.getByRole('dialog').getByRole('button', { name: 'Group 1' }).press('Enter');
    await sitsAt(t, a, 'Group 1');
    // A name stays where the hand goes on to something else; Escape gives it up.
    await table(t, 'Group 1').click();
    await t.getByLabel('Group name').fill('Weir');
    await t.getByRole('tab', { name: 'Groups', exact: true }).click();
    await expect(t.getByRole('dialog')).toHaveCount(0);
    await table(t, 'Weir').click();
    await t.getByLabel('Group name').fill('Move down');
    await t.keyboard.press('Escape');
    await table(t, 'Weir').click();
    await t.getByLabel('Group name').fill('Upstream');
    await t.getByRole('button', { name: 'Save' }).click();
    await expect(table(t, 'Upstream')).toBeVisible();
  });

  await test.step('an original', async () => {
    await t.getByRole('button', { name: 'Create a worksheet' }).click();
    await t.getByLabel('Title', { exact: true }).fill('The bend');
    await t.getByRole('button', { name: '+ Text' }).click();
    await t.getByLabel('Text', { exact: true }).fill('The river bends at the mill.');
    await t.getByRole('button', { name: '+ Question: one answer each' }).click();
    await t.getByLabel('What do students do here?').fill('What do you see?');
    await t.getByRole('button', { name: '+ Question: one answer together' }).click();
    await t.getByLabel('What do students do here?').last().fill('What do you all say?');
    await expect(t.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  });

  await test.step('set up in one press, with a failure on the way: the rest goes on', async () => {
    await misbehave('refuse', 1, 'make');
    await t.getByRole('button', { name: 'Set up 3 rooms and 2 copies' }).click();
    await expect(t.getByRole('region', { name: 'Set-up steps' })).toContainText('The meeting service refused');
    await expect(t.getByText('2 copies handed out')).toBeVisible();
    await t.getByRole('region', { name: 'Set-up steps' }).getByRole('button', { name: 'Try again' }).click();
    await expect(t.getByText('3 rooms ready')).toBeVisible();
    await expect(t.getByRole('region', { name: 'Set-up steps' })).toHaveCount(0);
    await t.getByRole('tab', { name: 'Groups', exact: true }).click();
  });

  await expect(table(t, 'Upstream')).toBeVisible();
  const floor = await seats(t);
  const [annaName = '', bertName = ''] = floor.get('Upstream') ?? [];
  const [carlName = ''] = floor.get('Group 2') ?? [];
  const anna = await student(browser, doorWord, annaName);
  const bert = await student(browser, doorWord, bertName);
  const carl = await student(browser, doorWord, carlName);

  await test.step('students are in the main session and know nothing of groups yet', async () => {
    await expect(t.getByText('3 of 7 students have arrived')).toBeVisible();
    for (const who of [anna, bert, carl]) {
      await expect(who.page.getByText('Go to the main session').first()).toBeVisible();
      await expect(who.page.getByText('Upstream')).toHaveCount(0);
    }
  });
  const annaRoom = await goToRoom(anna);
  const bertRoom = await goToRoom(bert);
  await expect(annaRoom.getByText(bertName, { exact: true })).toBeVisible();
  await expect(anna.page.getByText('You’re in the main session.')).toBeVisible();

  await test.step('sending out: pages switch by themselves', async () => {
    await t.getByRole('button', { name: 'Send 6 students to 2 rooms' }).click();
    await expect(anna.page.getByText('You will be in')).toBeVisible();
    await expect(anna.page.getByRole('heading', { name: 'Upstream' })).toBeVisible();
    await expect(anna.page.getByText(bertName)).toBeVisible();
    await expect(anna.page.getByText(carlName)).toHaveCount(0);
    // Those who are in the service are moved; the third presses the button.
    await expect(annaRoom.getByRole('heading', { name: /Upstream/ })).toBeVisible();
    await expect(annaRoom.getByText(bertName, { exact: true })).toBeVisible();
    await expect(bertRoom.getByRole('heading', { name: /Upstream/ })).toBeVisible();
    const carlRoom = await goToRoom(carl);
    await expect(carlRoom.getByRole('heading', { name: /Group 2/ })).toBeVisible();
    await expect(carlRoom.getByText(annaName)).toHaveCount(0);
    await expect(anna.page.getByText('You’re in the room.')).toBeVisible();
  });

  await test.step('the teacher sees who is in place and who is not', async () => {
    await expect(tag(t, annaName)).toHaveAccessibleName(/in place/);
    await expect(tag(t, carlName)).toHaveAccessibleName(/in place/);
    await expect(t.getByText('of 6 in place')).toBeVisible();
    await expect(t.getByText('not arrived')).toHaveCount(3);
  });

  await test.step('they write in one copy and see each other', async () => {
    for (const who of [anna, bert, carl]) await who.page.getByRole('button', { name: 'Open our worksheet' }).click();
    await anna.page.getByLabel('Your answer').fill('The bank is worn away on the outside.');
    await expect(bert.page.getByText('The bank is worn away on the outside.')).toBeVisible();
    await expect(bert.page.getByText('· is writing')).toBeVisible();
    await anna.page.getByLabel('Together').fill('We say the bend moves.');
    await expect(bert.page.getByLabel('Together')).toHaveValue('We say the bend moves.');
    await expect(carl.page.getByText('worn away')).toHaveCount(0);
    await expect(carl.page.getByLabel('Together')).toHaveValue('');
  });

  await test.step('one line is cut; both go on; nothing is lost', async () => {
    await bert.context.setOffline(true);
    await bert.page.getByLabel('Together').pressSequentially(' Kept while the line was down.');
    await bert.page.getByLabel('Your answer').fill('I write with no line.');
    await expect(bert.page.getByText('You’re offline. It’s kept on this device').first()).toBeVisible();
    await anna.page.getByLabel('Together').fill('First: We say the bend moves.');
    await expect(anna.page.getByText('Saved').first()).toBeVisible();
    await bert.context.setOffline(false);
    const both = 'First: We say the bend moves. Kept while the line was down.';
    await expect(anna.page.getByLabel('Together')).toHaveValue(both);
    await expect(bert.page.getByLabel('Together')).toHaveValue(both);
    await expect(anna.page.getByText('I write with no line.')).toBeVisible();
  });

  await test.step('the teacher reads every copy, live', async () => {
    await t.getByRole('tab', { name: 'Work', exact: true }).click();
    await expect(t.getByText('I write with no line.')).toBeVisible();
    // Back is one view back, not out of the lesson.
    await t.goBack();
    await expect(table(t, 'Upstream')).toBeVisible();
    await t.goForward();
    await expect(t.getByText('new', { exact: true }).first()).toBeVisible();
    await carl.page.getByLabel('Your answer').fill('Stones on the inside.');
    await expect(t.getByText('Stones on the inside.')).toBeVisible();
    await t.getByRole('button', { name: 'Open Group 2’s copy' }).click();
    await expect(t.getByRole('dialog').getByText('Stones on the inside.')).toBeVisible();
    await t.keyboard.press('Escape');
  });

  await test.step('a notice reaches everybody, and a reload changes nothing', async () => {
    await t.getByRole('textbox', { name: 'Message' }).fill('Two minutes left. One sentence each.');
    await t.getByRole('button', { name: 'Send', exact: true }).click();
    for (const who of [anna, bert, carl])
      await expect(who.page.getByText('Two minutes left. One sentence each.')).toBeVisible();
    await expect(annaRoom.getByText('Two minutes left. One sentence each.')).toBeVisible();
    await Promise.all([t.reload(), bert.page.reload()]);
    await expect(t.getByText('Stones on the inside.')).toBeVisible();
    await expect(bert.page.getByLabel('Your answer')).toHaveValue('I write with no line.');
    await expect(bert.page.getByText('Two minutes left. One sentence each.')).toBeVisible();
  });

  await test.step('somebody is moved while groups are out', async () => {
    await t.getByRole('tab', { name: 'Groups', exact: true }).click();
    await tag(t, carlName).click();
    await t.getByRole('dialog').getByRole('button', { name: 'Upstream' }).click();
    // He is told so in place of the other group's sheet, and keeps what he wrote himself.
    await expect(carl.page.getByRole('heading', { name: 'You are now in Upstream.' })).toBeVisible();
    await expect(carl.page.getByText('Stones on the inside.')).toBeVisible();
    await carl.page.getByRole('button', { name: 'Go to Upstream' }).click();
    await expect(carl.page.getByText('Stones on the inside.')).toHaveCount(0);
    await t.getByRole('main').getByRole('button', { name: 'Undo' }).click();
    await expect(carl.page.getByText('Group 2').first()).toBeVisible();
    await expect(tag(t, carlName)).toHaveAccessibleName(/in place/);
  });

  await test.step('calling back, with a countdown; who is back and who is not', async () => {
    await choose(t, 'Countdown', '10 seconds');
    await t.getByRole('button', { name: 'Call everyone back in 10 s' }).click();
    for (const who of [anna, bert, carl]) await expect(who.page.getByText('Back to the main session in')).toBeVisible();
    await expect(annaRoom.getByText(/Back to the main session/)).toBeVisible();
    await t.getByRole('button', { name: 'Cancel the call-back' }).click();
    await expect(anna.page.getByText('Back to the main session in')).toHaveCount(0);
    await t.getByRole('button', { name: 'Call everyone back in 10 s' }).click();
    await expect(anna.page.getByText('Back to the main session in')).toBeVisible();
    await bertRoom.close();
    await expect(annaRoom.getByRole('heading', { name: /Main session/ })).toBeVisible();
    await expect(anna.page.getByRole('heading', { name: 'You’re back.' })).toBeVisible();
    await expect(bert.page.getByText('Go back to the main session.')).toBeVisible();
    await expect(t.getByText('of 6 back')).toBeVisible();
    await expect(t.getByLabel('Not there yet').getByText(bertName)).toBeVisible();
    await expect(t.getByLabel('Not there yet').getByText(annaName)).toHaveCount(0);
    await goToRoom(bert);
    await expect(t.getByLabel('Not there yet').getByText(bertName)).toHaveCount(0);
  });

  await test.step('the teacher goes into a room in one press', async () => {
    const [room] = await Promise.all([
      t.context().waitForEvent('page'),
      t.getByRole('link', { name: 'Enter Group 2’s room' }).click(),
    ]);
    await expect(room.getByRole('heading', { name: /Group 2/ })).toBeVisible();
    await room.close();
  });

  await test.step('after the last segment the main action ends the lesson, and it is shown as it was', async () => {
    await t.getByRole('button', { name: /^Next: Share-out/ }).click();
    await t.getByRole('button', { name: 'End lesson' }).click();
    await expect(t.getByText(/This lesson ended at/)).toBeVisible();
    await expect(t.getByText('of 6 were there')).toBeVisible();
    await t.getByRole('tab', { name: 'Groups' }).click();
    await expect(tag(t, carlName)).toHaveAccessibleName(/in place/);
    await expect(anna.page.getByRole('heading', { name: 'This lesson is over.' })).toBeVisible();
    await t.getByRole('button', { name: 'Reopen lesson' }).click();
    await expect(t.getByRole('button', { name: 'End lesson' })).toBeVisible();
    await expect(anna.page.getByText('This lesson is over.')).toHaveCount(0);
  });
});
