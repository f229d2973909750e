import { expect, type Page } from '@playwright/test';
import { assistant, choose, find, goToRoom, student, table, tag, teacher, type Student } from './support/people';
import { isOpenToAll } from './support/access';
import { misbehave } from './support/machine';
import { readyLesson } from './support/plan';
import { test } from './support/test';

/** A lesson in full, as it goes wrong. Nothing here waits a fixed time: each step waits for what it is about. */
test('a lesson in full: late, lost, in the wrong room, cut off, under another name; and everybody ends where they should', async ({
  browser,
}) => {
  test.setTimeout(420_000);
  const t = await teacher(browser);
  const names = ['Ada', 'Ben', 'Chi', 'Dov', 'Esi', 'Fay', 'Gus', 'Hal'].map((name) => `${name} Brook`);
  const planned = await readyLesson(t, { name: 'In full', students: names, groups: ['North', 'South'] });
  const api = `/api/staff/lessons/${planned.id}`;
  const view = async () => (await (await t.request.get(api)).json()) as typeof planned;
  const filled = await t.request.post(`${api}/rounds`, {
    data: { basedOn: planned.order.step, way: 'rotation', rounds: 2, size: 4 },
  });
  expect(filled.ok(), await filled.text()).toBe(true);
  await t.request.patch(api, { data: { minutes: 60 } });
  await t.request.post(`/api/staff/classes/${planned.classId}/side-rooms`, { data: { name: 'The quiet corner' } });
  const lesson = await view();
  for (const one of lesson.order.segments) {
    if (one.round !== null) await t.request.patch(`/api/staff/segments/${one.id}`, { data: { lookSeconds: 0 } });
  }
  await t.goto(`/lessons/${planned.id}`);
  const helper = await assistant(
    browser,
    t,
    planned.classId,
    `helper.${planned.classId}@larkmouth.example`,
    'Otto Sund',
  );
  await helper.goto(`/lessons/${planned.id}`);

  await test.step('nobody has a seat yet who is not there: Hal comes late', async () => {
    const hal = lesson.students.find((one) => one.name === 'Hal Brook');
    await t.request.post(`/api/staff/students/${hal?.id}/absent`, { data: { absent: true } });
    await t
      .getByRole('button', { name: /Fix|groups/ })
      .first()
      .waitFor();
    const now = await view();
    const seat = now.floor.groups.find((group) => hal !== undefined && group.students.includes(hal.id));
    if (seat !== undefined)
      await t.request.post(`/api/staff/groupings/${now.floor.id}/edits`, {
        data: { basedOn: now.floor.step, kind: 'shelve', student: hal?.id },
      });
  });
  await t.reload();
  await t
    .getByRole('button', { name: /^Set up/ })
    .first()
    .click();
  await expect(t.getByRole('button', { name: /^Send 7 students/ })).toBeVisible();

  const who: Record<string, Student> = {};
  const of = (name: string): Student => {
    const one = who[name];
    if (one === undefined) throw new Error(`${name} is not here`);
    return one;
  };
  await test.step('they come: one on a second device, one under another name', async () => {
    for (const name of ['Ada', 'Ben', 'Dov', 'Esi', 'Fay', 'Gus'])
      who[name] = await student(browser, lesson.doorWord, `${name} Brook`);

    const second = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await second.goto('/student');
    await second.getByLabel('Join words').fill(lesson.doorWord);
    await second.getByRole('button', { name: 'Find my class' }).click();
    await second.getByLabel('Your name').fill('Ben Brook');
    await second.getByRole('button', { name: 'Join' }).click();
    await second.getByRole('button', { name: 'Wait for my teacher to let me in' }).click();
    await of('Ben').page.getByRole('button', { name: 'Yes, it’s me' }).click();
    await expect(second.getByText('Ben Brook ·')).toBeVisible();
    await expect(of('Ben').page.getByLabel('Join words')).toBeVisible();
    who.Ben = { name: 'Ben Brook', context: second.context(), page: second };

    const other = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await other.goto('/student');
    await other.getByLabel('Join words').fill(lesson.doorWord);
    await other.getByRole('button', { name: 'Find my class' }).click();
    await other.getByLabel('Your name').fill('dragon slayer');
    await other.getByRole('button', { name: 'Join' }).click();
    await other.getByRole('button', { name: 'Wait for my teacher to let me in' }).click();
    await find(t, 'Who is “dragon slayer”?', 'Chi Brook');
    await t.getByRole('button', { name: 'Let in', exact: true }).click();
    await expect(other.getByText('Chi Brook ·')).toBeVisible();
    who.Chi = { name: 'Chi Brook', context: other.context(), page: other };
  });

  const rooms: Record<string, Page> = {};
  const roomOf = (name: string): Page => {
    const room = rooms[name];
    if (room === undefined) throw new Error(`${name} is in no room`);
    return room;
  };
  await test.step('out: the service moves nobody, so Dov stays in the main session; Esi gets lost before she arrives', async () => {
    rooms.Dov = await goToRoom(of('Dov'));
    await expect(of('Dov').page.getByText('You’re in the main session.')).toBeVisible();
    await misbehave('fail', 12, 'move');
    await t.getByRole('button', { name: /^Send 7 students/ }).click();
    for (const name of ['Ada', 'Ben', 'Chi', 'Fay', 'Gus']) {
      // Whoever goes before the page has heard of the round goes to the main session, as Dov did.
      const way = of(name).page.locator('a[href="/api/student/room"]').filter({ visible: true });
      await expect(way).toContainText('Group');
      rooms[name] = await goToRoom(of(name));
    }
    await expect(t.getByText('of 7 in place')).toBeVisible();
    for (const name of ['Ada', 'Ben', 'Chi', 'Fay', 'Gus'])
      await expect(tag(t, `${name} Brook`)).toHaveAccessibleName(/in place/);
    await of('Esi').page.close();
    await expect(t.getByLabel('Not there yet').getByText('no contact for a while')).toBeVisible({ timeout: 90_000 });
  });

  await test.step('Hal comes late, and sits with one press', async () => {
    await t.request.post(`/api/staff/students/${lesson.students.find((one) => one.name === 'Hal Brook')?.id}/absent`, {
      data: { absent: false },
    });
    who.Hal = await student(browser, lesson.doorWord, 'Hal Brook');
    await t.getByRole('button', { name: /^Put Hal Brook in / }).click();
    rooms.Hal = await goToRoom(of('Hal'));
    await expect(tag(t, 'Hal Brook')).toHaveAccessibleName(/in place/);
  });

  const groupOf = async (name: string) => {
    const { floor, students } = await view();
    const id = students.find((one) => one.name === `${name} Brook`)?.id ?? '';
    return floor.groups.find((group) => group.students.includes(id))?.name ?? '';
  };

  await test.step('Dov is in the wrong room; one press takes him out of it', async () => {
    await expect(t.getByLabel('Not there yet').getByText('left behind: in the main session')).toBeVisible({
      timeout: 60_000,
    });
    await misbehave('fail', 0, 'move');
    await t.getByRole('button', { name: 'Move Dov Brook there' }).click();
    await expect(roomOf('Dov').getByRole('heading', { name: new RegExp(await groupOf('Dov')) })).toBeVisible({
      timeout: 45_000,
    });
    await expect(tag(t, 'Dov Brook')).toHaveAccessibleName(/in place/);
  });

  await test.step('Fay’s line is cut; she goes on writing, and nothing is lost', async () => {
    const { page, context } = of('Fay');
    await page.getByRole('button', { name: 'Open our worksheet' }).click();
    await context.setOffline(true);
    await page.getByLabel('Your answer').fill('Written with no line.');
    await expect(page.getByText('You’re offline.').first()).toBeVisible();
    await context.setOffline(false);
    await t.getByRole('tab', { name: 'Work', exact: true }).click();
    await expect(t.getByText('Written with no line.')).toBeVisible();
  });

  await test.step('a margin note is read beside the place, and answered', async () => {
    const group = await groupOf('Fay');
    await t.getByRole('button', { name: `Open ${group}’s copy` }).click();
    await t.getByRole('button', { name: 'Add margin note' }).first().click();
    await t.getByRole('textbox', { name: 'Add margin note' }).fill('Say how you know.');
    await t.getByRole('button', { name: 'Post', exact: true }).click();
    const { page } = of('Fay');
    await expect(page.getByText('Say how you know.')).toBeVisible();
    await page.getByRole('button', { name: 'Answer', exact: true }).click();
    await page.getByRole('textbox', { name: 'Your answer to your teacher' }).fill('I stood there.');
    await page.getByRole('button', { name: 'Send', exact: true }).click();
    await expect(t.getByText('I stood there.')).toBeVisible();
    await isOpenToAll(t, 'a copy and its margin');
    await isOpenToAll(page, 'a margin note');
    await t.keyboard.press('Escape');
    await t.getByRole('tab', { name: 'Groups', exact: true }).click();
  });

  await test.step('a call, a visit, a mark; and the assistant says something to one alone', async () => {
    const group = await groupOf('Gus');
    await of('Gus').page.getByRole('button', { name: 'Ask for help' }).click();
    await of('Gus').page.getByRole('button', { name: 'We’re stuck' }).click();
    const order = t.getByRole('region', { name: 'Visit next' });
    const [popup] = await Promise.all([
      t.context().waitForEvent('page'),
      order.getByRole('button', { name: new RegExp(`Visit ${group}`) }).click(),
    ]);
    await expect(popup.getByRole('heading', { name: 'Here now' })).toBeVisible();
    await expect(t.getByRole('dialog').getByRole('heading', { name: new RegExp(group) })).toBeVisible();
    await t.keyboard.press('Escape');
    await expect(t.getByRole('dialog')).toHaveCount(0);
    await order.getByRole('button', { name: 'Leave' }).click();
    await popup.close();
    await table(t, group).click();
    await t.getByRole('button', { name: 'Well done', exact: true }).click();
    await expect(of('Gus').page.getByText('Your teacher says: well done!')).toBeVisible();

    await helper.getByRole('tab', { name: 'Groups', exact: true }).click();
    await helper.getByRole('textbox', { name: 'Message' }).fill('Ada, you lead.');
    await choose(helper, 'Send to', 'Ada Brook');
    await helper.getByRole('button', { name: 'Send', exact: true }).click();
    await expect(of('Ada').page.getByText('Ada, you lead.')).toBeVisible();
    await expect(of('Gus').page.getByText('Ada, you lead.')).toHaveCount(0);
    await expect(helper.getByRole('button', { name: 'seen by 1 of 1' })).toBeVisible();
  });

  await test.step('to a side room and back to where they were, each with one press', async () => {
    const own = await groupOf('Ada');
    await tag(t, 'Ada Brook').click();
    await t.getByRole('button', { name: 'Move to The quiet corner' }).click();
    await expect(roomOf('Ada').getByRole('heading', { name: /The quiet corner/ })).toBeVisible();
    await expect(of('Ada').page.getByText('You’re in The quiet corner.')).toBeVisible();
    await expect(of('Gus').page.getByText('The quiet corner')).toHaveCount(0);
    await t.getByRole('button', { name: 'Send back' }).click();
    await expect(roomOf('Ada').getByRole('heading', { name: new RegExp(own) })).toBeVisible();
    await expect(tag(t, 'Ada Brook')).toHaveAccessibleName(/in place/);
  });

  await test.step('a group is split; the new part has a room and a copy that begins with what stood there', async () => {
    const group = await groupOf('Fay');
    const { floor, students } = await view();
    const sitting = floor.groups.find((one) => one.name === group)?.students ?? [];
    const going = students.find((one) => sitting.includes(one.id) && !/^(Fay|Esi|Ada|Gus)/.test(one.name))?.name ?? '';
    await table(t, group).click();
    await t.getByRole('button', { name: 'Split this group…' }).click();
    await t.getByRole('dialog').getByText('Fay Brook').click();
    await t.getByRole('dialog').getByText(going).click();
    await t.getByRole('button', { name: 'Move 2 students to a new group' }).click();
    const page = of('Fay').page;
    await expect(page.getByRole('heading', { name: /^You are now in Group/ })).toBeVisible();
    await page.getByRole('button', { name: /^Go to Group/ }).click();
    await page.getByRole('button', { name: 'Open our worksheet' }).click();
    await expect(page.getByLabel('Your answer')).toHaveValue('Written with no line.');
    await expect(roomOf('Fay').getByRole('heading', { name: /Group/ })).toBeVisible();
  });

  await test.step('a minute more, the clock stopped and going on', async () => {
    const until = await t
      .getByText(/^until \d/)
      .first()
      .textContent();
    await t.getByRole('button', { name: 'One minute more' }).click();
    await expect(t.getByText(/^until \d/).first()).not.toHaveText(until ?? '');
    await t.getByRole('button', { name: 'Pause' }).click();
    await expect(t.getByText('The clock is paused')).toBeVisible();
    await expect(of('Gus').page.getByText('The clock is paused.')).toBeVisible();
    await t.getByRole('button', { name: 'Resume', exact: true }).click();
    await expect(of('Gus').page.getByText('The clock is paused.')).toHaveCount(0);
  });

  await test.step('called back: Gus misses it, and is fetched', async () => {
    await roomOf('Gus').close();
    await choose(t, 'Countdown', '0 seconds');
    await t.getByRole('button', { name: /Call everyone back now/ }).click();
    for (const name of ['Ada', 'Ben', 'Chi', 'Dov', 'Hal'])
      await expect(roomOf(name).getByRole('heading', { name: /Main session/ })).toBeVisible();
    await expect(t.getByLabel('Not there yet').getByText('Gus Brook')).toBeVisible();
    await t.getByRole('button', { name: /^(Remind|Fetch|Move) Gus Brook/ }).click();
    await expect(of('Gus').page.getByText('Please come back to the main session now.')).toBeVisible();
    rooms.Gus = await goToRoom(of('Gus'));
    await expect(of('Gus').page.getByText('Please come back to the main session now.')).toHaveCount(0);
    await expect(t.getByLabel('Not there yet').getByText('Gus Brook')).toHaveCount(0);
  });

  await test.step('the next round: new partners, everybody ends where they should, and the log says who did what', async () => {
    const before = new Map<string, Set<string>>();
    for (const sitting of (await view()).floor.groups.map((group) => group.students))
      for (const one of sitting) before.set(one, new Set(sitting));
    await t.getByRole('button', { name: /^Next: Round 2/ }).click();
    await expect(of('Ada').page.getByText('With you')).toBeVisible();
    const now = await view();
    const kept = now.floor.groups.flatMap((group) =>
      group.students.flatMap((one) => group.students.filter((other) => other > one && before.get(one)?.has(other))),
    );
    const all = now.floor.groups.flatMap((group) => group.students);
    expect(all.length).toBeGreaterThanOrEqual(7);
    expect(kept.length).toBeLessThan(all.length);
    for (const name of ['Ada', 'Ben', 'Chi', 'Dov', 'Fay', 'Gus'])
      await expect(tag(t, `${name} Brook`)).toHaveAccessibleName(/in place|on the way|left behind/);
    await t.keyboard.press('l');
    const log = t.getByRole('dialog', { name: 'Activity log' });
    await expect(log.getByText(/Otto Sund sent a message to Ada Brook/)).toBeVisible();
    await expect(log.getByText(/moved Ada Brook to The quiet corner/)).toBeVisible();
    await expect(log.getByText(/sent Ada Brook back/)).toBeVisible();
    await isOpenToAll(t, 'the log');
  });
});
