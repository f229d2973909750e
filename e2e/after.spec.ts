import { expect, type Page } from '@playwright/test';
import { Buffer } from 'node:buffer';
import { find, goToRoom, student, teacher, type Student } from './support/people';
import { readyLesson } from './support/plan';
import { countPresses } from './support/presses';
import { test } from './support/test';

interface Figures {
  student: string;
  inPlaceMs: number;
  groupMs: number;
  put: number;
  calls: number;
  calledOn: number;
  exitAnswered: number;
  exitOf: number;
}

/** What each student really did, as the script knows it. */
interface Did {
  /** From when to when they were in their group's room, by this machine's clock. */
  there: { from: number; to: number } | null;
  words: number;
  calls: number;
  exit: number;
}

const give = (t: Page, lesson: string, data: object) =>
  t.request.post(`/api/staff/lessons/${lesson}/commands`, {
    data,
    headers: { 'Idempotency-Key': crypto.randomUUID() },
  });

async function writes(who: Student, label: string, text: string) {
  await who.page.getByRole('button', { name: 'Open our worksheet' }).click();
  await who.page.getByLabel(label).first().fill(text);
  await expect(who.page.getByText('Saved').first()).toBeVisible();
}

test('from the call back to the next lesson: the record says what everybody really did', async ({ browser }) => {
  const t = await teacher(browser);
  const lesson = await readyLesson(t, {
    name: '9A Afterwards',
    students: ['Ada Lund', 'Ben Oduya', 'Chi Tran', 'Dov Katz'],
    groups: ['Quayside', 'Millbrook'],
  });
  const order = lesson.order.segments.map(({ id, kind, minutes }) => ({ id, kind, minutes }));
  const round = order.findIndex((one) => one.kind === 'round');
  await t.request.put(`/api/staff/lessons/${lesson.id}/running-order`, {
    data: {
      basedOn: lesson.order.step,
      segments: [...order.slice(0, round + 1), { kind: 'alone', minutes: 5 }, ...order.slice(round + 1)],
    },
  });
  const planned = (await (await t.request.get(`/api/staff/lessons/${lesson.id}`)).json()) as typeof lesson;
  const alone = planned.order.segments.find((one) => one.kind === 'alone');
  const ticket = (await (
    await t.request.post('/api/staff/originals', {
      data: {
        title: 'Exit ticket',
        basedOn: 0,
        pages: [{ id: 'page-1', title: '', blocks: [{ id: 'one', kind: 'each', text: 'What will you remember?' }] }],
      },
    })
  ).json()) as { id: string };
  await t.request.post(`/api/staff/segments/${alone?.id}/work`, { data: { original: ticket.id } });
  await t.request.post(`/api/staff/rounds/${lesson.round.id}/copies`);

  await t.request.post(`/api/staff/rounds/${lesson.round.id}/rooms`, { data: {} });
  await expect
    .poll(async () => {
      const now = (await (await t.request.get(`/api/staff/lessons/${lesson.id}`)).json()) as typeof lesson;
      return now.rooms.filter((one) => one.groupId !== null && one.state === 'made').length;
    })
    .toBe(2);

  const nothing = (): Did => ({ there: null, words: 0, calls: 0, exit: 0 });
  const did = new Map(['Ada Lund', 'Ben Oduya', 'Chi Tran', 'Dov Katz'].map((name) => [name, nothing()]));
  const of = (name: string): Did => did.get(name) ?? nothing();

  // Ada is in her room until the end, Ben leaves his again, Chi has a page open and goes to none, Dov never comes.
  const ada = await student(browser, lesson.doorWord, 'Ada Lund');
  const ben = await student(browser, lesson.doorWord, 'Ben Oduya');
  const chi = await student(browser, lesson.doorWord, 'Chi Tran');
  await give(t, lesson.id, { kind: 'sendOut' });
  const out = Date.now();
  await goToRoom(ada);
  of('Ada Lund').there = { from: Date.now(), to: Infinity };
  const bensRoom = await goToRoom(ben);
  of('Ben Oduya').there = { from: Date.now(), to: Infinity };
  await writes(ada, 'Your answer', 'The cellars are full of water');
  of('Ada Lund').words = 6;
  await ada.page.request.put('/api/student/call', { data: { about: 'stuck' } });
  of('Ada Lund').calls = 1;
  await writes(chi, 'Your answer', 'Nobody asked the people in the caravans');
  of('Chi Tran').words = 7;
  await t.waitForTimeout(4_000);
  await bensRoom.getByRole('button', { name: 'Leave this room' }).click();
  const bens = of('Ben Oduya').there;
  if (bens !== null) bens.to = Date.now();
  await t.waitForTimeout(8_000);
  await give(t, lesson.id, { kind: 'callBack', seconds: 0 });
  const back = Date.now();

  await test.step('exit tickets go out in one press, and wait on the device without a line', async () => {
    await t.goto(`/lessons/${lesson.id}`);
    const next = t.getByRole('button', { name: /^Next: Alone/ });
    await expect(next).toBeVisible();
    await t.waitForTimeout(1_500); // a press never falls on what has only just come
    const presses = await countPresses(t);
    await next.click();
    expect(presses()).toBe(1);
    for (const who of [ada, chi]) {
      await who.page.getByRole('button', { name: 'Exit ticket' }).click();
      await expect(who.page.getByLabel('Your answer')).toBeVisible();
    }
    await ada.page.getByLabel('Your answer').fill('Walls move the water on.');
    await expect(ada.page.getByText('Saved')).toBeVisible();
    of('Ada Lund').exit = 1;
    of('Ada Lund').words += 5;
    await chi.context.setOffline(true);
    await chi.page.getByLabel('Your answer').fill('Ask the people first.');
    await expect(chi.page.getByText('You’re offline', { exact: false })).toBeVisible();
    await chi.context.setOffline(false);
    await expect(chi.page.getByText('Saved')).toBeVisible();
    of('Chi Tran').exit = 1;
    of('Chi Tran').words += 4;
  });

  await test.step('results come in, with who has not answered', async () => {
    const tickets = t.getByRole('region', { name: 'Exit tickets' });
    await expect(tickets.getByText('2 of 4 have answered')).toBeVisible();
    await expect(tickets.getByText(/Ben Oduya/)).toBeVisible();
    await tickets.getByRole('button', { name: 'See answers' }).click();
    await expect(t.getByRole('dialog').getByText('Ask the people first.')).toBeVisible();
    await t.keyboard.press('Escape');
    await tickets.getByRole('button', { name: 'Close now' }).click();
    await expect(tickets.getByText('Closed.')).toBeVisible();
    await expect(ada.page.getByText('This is closed.', { exact: false })).toBeVisible();
  });

  const called = await test.step('somebody is called on, and the lesson ends', async () => {
    await t.getByRole('button', { name: 'Call on someone' }).click();
    const name = (await t.getByRole('region', { name: 'Call on a student' }).locator('.font-head').innerText()).trim();
    await give(t, lesson.id, { kind: 'end' });
    return name;
  });

  await test.step('the record says minutes within two seconds, and words and exit answers exactly', async () => {
    const file = (await (await t.request.get(`/api/staff/lessons/${lesson.id}/record.json`)).json()) as {
      facts: { students: { id: string; name: string }[] };
      figures: { students: Figures[] };
    };
    const ids = new Map(file.facts.students.map((one) => [one.name, one.id]));
    for (const [name, really] of did) {
      const figures = file.figures.students.find((one) => one.student === ids.get(name));
      expect(figures, name).toBeDefined();
      if (figures === undefined) continue;
      const inPlace = really.there === null ? 0 : Math.min(back, really.there.to) - really.there.from;
      expect(Math.abs(figures.inPlaceMs - inPlace), `${name} was in place for ${inPlace} ms`).toBeLessThan(2_000);
      expect(Math.abs(figures.groupMs - (back - out)), name).toBeLessThan(2_000);
      expect(
        [figures.put, figures.calls, figures.calledOn, figures.exitAnswered, figures.exitOf],
        `${name}: words, calls, called on, exit answers`,
      ).toEqual([really.words, really.calls, called === name ? 1 : 0, really.exit, 1]);
    }
    await t.goto(`/lessons/${lesson.id}`);
    await expect(t.getByText('3 of 4 students were there. Never arrived: Dov Katz.')).toBeVisible();
  });

  await test.step('a figure is corrected, and a rule gives points for it', async () => {
    await t.getByRole('button', { name: 'Set a rule' }).click();
    await expect(t.getByRole('columnheader', { name: 'Points (of 1)' })).toBeVisible();
    await t.getByRole('button', { name: 'Correct figures' }).click();
    await t.getByRole('button', { name: /^Dov Katz, In place/ }).click();
    await t.getByRole('dialog').getByLabel('In place (min)').fill('1');
    await t.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
    const row = t.getByRole('row', { name: /^Dov Katz/ });
    await expect(row.locator('del')).toHaveText('0.0');
    await expect(row.getByRole('cell').last()).toHaveText('1');
  });

  await test.step('at any moment it is seen who was where, and what was written', async () => {
    await t.getByRole('tab', { name: 'Groups', exact: true }).click();
    await t.getByRole('button', { name: 'Replay this lesson' }).click();
    const slider = t.getByRole('slider', { name: 'Moment of the lesson' });
    await slider.focus();
    await t.keyboard.press('End');
    await expect(t.getByText(/students? together/)).toBeVisible();
    await slider.fill(String(back - 2_000));
    await t
      .getByRole('button', { name: /: see its work at this moment/ })
      .first()
      .click();
    await expect(
      t
        .getByRole('dialog')
        .getByText(/cellars are full|asked the people/)
        .first(),
    ).toBeVisible();
    await t.keyboard.press('Escape');
    await t.getByRole('button', { name: 'Close replay' }).click();
  });

  await test.step('the next lesson is there in at most three presses, with the same groups, and goes on', async () => {
    const presses = await countPresses(t);
    await t.getByRole('button', { name: 'Create the next lesson from this one' }).click();
    await t.getByRole('menuitem', { name: /same groups/i }).click();
    await expect(t).not.toHaveURL(new RegExp(lesson.id));
    expect(presses()).toBeLessThanOrEqual(3);
    const id = /lessons\/([0-9a-f-]+)/.exec(t.url())?.[1] ?? '';
    const next = (await (await t.request.get(`/api/staff/lessons/${id}`)).json()) as typeof lesson;
    expect(next.floor.id).toBe(lesson.floor.id);
    await t.request.post(`/api/staff/rounds/${next.round.id}/copies`);
    const copies = (await (await t.request.get(`/api/staff/rounds/${next.round.id}/copies`)).json()) as {
      answers: { text: string }[];
    }[];
    expect(copies.flatMap((copy) => copy.answers.map((one) => one.text))).toContain('The cellars are full of water');
  });
});

test('a lesson goes to another teacher as a file, and a student who asks is forgotten', async ({ browser }) => {
  const t = await teacher(browser);
  const lesson = await readyLesson(t, {
    name: '9B Moving',
    students: ['Ada Lund', 'Ben Oduya', 'Chi Tran', 'Dov Katz'],
    groups: ['Quayside', 'Millbrook'],
  });
  const file = await (await t.request.get(`/api/staff/lessons/${lesson.id}/file`)).body();

  await test.step('the file is opened for a class, with everything it had', async () => {
    await t.goto(`/classes/${lesson.classId}`);
    await t.getByLabel('Open a lesson file').setInputFiles({
      name: 'nonsense.zip',
      mimeType: 'application/zip',
      buffer: Buffer.from('nonsense'),
    });
    await expect(t.getByRole('alert')).toHaveText('This isn’t a lesson file.');
    await t.getByLabel('Open a lesson file').setInputFiles({
      name: 'lesson.zip',
      mimeType: 'application/zip',
      buffer: file,
    });
    await expect(t).toHaveURL(/lessons/);
    await expect(t.getByRole('heading', { name: '9B Moving lesson' })).toBeVisible();
    await expect(t.getByText('Quayside').first()).toBeVisible();
    await expect(t.getByLabel(/When does 9B Moving/)).toBeVisible();
  });

  await test.step('everything about one student is exported, and then erased', async () => {
    await t.goto(`/classes/${lesson.classId}`);
    await t.getByRole('button', { name: 'Privacy' }).click();
    const sheet = t.getByRole('dialog');
    await find(sheet, 'Find a student', 'Dov Katz');
    await expect(sheet.getByRole('link', { name: 'Export everything about them' })).toBeVisible();
    await sheet.getByRole('button', { name: 'Erase for good…' }).click();
    await sheet.getByLabel('Type “Dov Katz” to go on').fill('Dov');
    await sheet.getByRole('button', { name: 'Erase Dov Katz for good' }).click();
    await expect(sheet.getByText('Type “Dov Katz” to erase this student.')).toBeVisible();
    await sheet.getByLabel('Type “Dov Katz” to go on').fill('Dov Katz');
    await sheet.getByRole('button', { name: 'Erase Dov Katz for good' }).click();
    await expect(t.getByText('Nothing about this student is kept any more.', { exact: false })).toBeVisible();
    await t.keyboard.press('Escape');
    await expect(t.getByText('Dov Katz')).toHaveCount(0);
  });
});
