import { expect, type Page } from '@playwright/test';
import { choose, drag, seats, student, table, tag, teacher } from './support/people';
import { readyLesson } from './support/plan';
import { countPresses } from './support/presses';
import { test } from './support/test';

const names = ['Ada', 'Ben', 'Chi', 'Dov', 'Esi', 'Fay', 'Gil', 'Hye'];

/** What a lesson says of itself, asked beside the page. */
const lessonOf = async (t: Page, id: string) =>
  (await (await t.request.get(`/api/staff/lessons/${id}`)).json()) as {
    endedAt: number | null;
    current: boolean;
    roundNow: { moments: { outAt: number | null; backAt: number | null } };
    floor: { groups: { name: string; students: string[] }[] };
    runRooms: { name: string }[];
  };

test('a lesson is out, and the teacher opens another lesson of the class by mistake', async ({ browser }) => {
  const t = await teacher(browser);
  const first = await readyLesson(t, { name: '8R Two lessons', students: names, groups: ['Quayside', 'Millbrook'] });
  const made = await t.request.post(`/api/staff/classes/${first.classId}/lessons`, {
    data: { title: 'Next week', minutes: 50 },
    headers: { 'Idempotency-Key': crypto.randomUUID() },
  });
  const second = (await made.json()) as { id: string; floor: { id: string }; round: { segmentId: string } };
  await t.request.patch(`/api/staff/segments/${second.round.segmentId}`, { data: { lookSeconds: 60 } });
  await t.request.post(`/api/staff/groupings/${second.floor.id}/deal`, { data: { basedOn: 0, groups: 4, seed: 2 } });
  const ada = await student(browser, first.doorWord, 'Ada');

  await test.step('the first lesson is out', async () => {
    await t.goto(`/lessons/${first.id}`);
    await t.getByRole('button', { name: /^Send (8|out)/ }).click();
    await expect(ada.page.getByText(/Quayside|Millbrook/).first()).toBeVisible();
    await expect(t.getByRole('button', { name: /Call everyone back/ })).toBeVisible();
  });

  await test.step('in the other lesson, sending out asks first and says what will happen to whom', async () => {
    await t.goto(`/lessons/${second.id}`);
    await expect(t.getByText('8R Two lessons is in “8R Two lessons lesson”.')).toBeVisible();
    await t.getByRole('button', { name: 'Send out anyway' }).click();
    const sheet = t.getByRole('dialog', { name: '“8R Two lessons lesson” is still running' });
    await expect(sheet).toContainText('8 students are working there in 2 groups');
    await sheet.getByRole('button', { name: 'Stay in “8R Two lessons lesson”' }).click();
    await expect(sheet).toHaveCount(0);
    expect((await lessonOf(t, first.id)).roundNow.moments.backAt).toBeNull();
    await expect(ada.page.getByText(/Quayside|Millbrook/).first()).toBeVisible();
  });

  await test.step('she goes on all the same, thinks better of it, and everything is as it was', async () => {
    await t.getByRole('button', { name: 'Send out anyway' }).click();
    await t.getByRole('button', { name: 'End “8R Two lessons lesson” and continue here' }).click();
    await t.getByRole('button', { name: 'Cancel' }).click();
    await expect.poll(async () => (await lessonOf(t, first.id)).current).toBe(true);
    const back = await lessonOf(t, first.id);
    expect([back.endedAt, back.roundNow.moments.backAt]).toEqual([null, null]);
    await t.goto(`/lessons/${first.id}`);
    await expect(t.getByRole('button', { name: /Call everyone back/ })).toBeVisible();
    await expect(ada.page.getByText(/Quayside|Millbrook/).first()).toBeVisible();
    // The other lesson has kept its plan, too.
    expect((await lessonOf(t, second.id)).floor.groups).toHaveLength(4);
  });
});

test('a lesson is over, and what comes after changes nothing of it', async ({ browser }) => {
  const t = await teacher(browser);
  const lesson = await readyLesson(t, { name: '8S Finished', students: names, groups: ['Quayside', 'Millbrook'] });
  await t.goto(`/lessons/${lesson.id}`);
  await t.getByRole('button', { name: /^Send (8|out)/ }).click();
  await t.getByRole('button', { name: /Call everyone back/ }).click();
  await t.getByRole('button', { name: /^Next: Share-out/ }).click();
  await expect(t.getByRole('button', { name: 'End lesson' })).toBeVisible();
  await t.getByRole('tab', { name: 'Groups' }).click();
  await expect(t.locator('[data-stop^="table:"]')).toHaveCount(2);
  const then = await seats(t);
  await t.getByRole('button', { name: 'End lesson' }).click();
  await expect(t.getByText(/This lesson ended at/)).toBeVisible();

  await test.step('it shows its groups as they were, and nothing to press', async () => {
    await expect(t.locator('[data-stop^="table:"]')).toHaveCount(2);
    await expect(t.getByRole('button', { name: /at random/ })).toHaveCount(0);
    await expect(t.getByRole('tab', { name: 'Materials' })).toHaveCount(0);
  });

  await test.step('the next lesson uses the same groups and says so; a student is moved there', async () => {
    await choose(t, 'Create the next lesson from this one', 'Same groups');
    await expect(t).not.toHaveURL(new RegExp(lesson.id));
    await expect(t.getByText(/Already used in/)).toBeVisible();
    const [who = ''] = then.get('Quayside') ?? [];
    await drag(t, tag(t, who), table(t, 'Millbrook'));
    await expect.poll(async () => (await seats(t)).get('Millbrook')?.join()).toContain(who);
  });

  await test.step('the finished lesson is as it was, and so is its log', async () => {
    await t.goto(`/lessons/${lesson.id}`);
    await expect(t.getByRole('heading', { name: 'Where everyone was' })).toBeVisible();
    await t.getByRole('tab', { name: 'Groups' }).click();
    await expect.poll(async () => [...(await seats(t))]).toEqual([...then]);
    await t.keyboard.press('l');
    const log = t.getByRole('dialog');
    await expect(log.getByRole('heading').first()).toBeVisible();
    await expect(log.getByText(/called everyone back/)).toBeVisible();
    await expect(log.getByText(/moved|seat/)).toHaveCount(0);
  });
});

test('three rotated rounds are as ready as one, in hardly more presses', async ({ browser }) => {
  const t = await teacher(browser);
  const of = async (rounds: 1 | 3) => {
    const lesson = await readyLesson(t, {
      name: `8T ${rounds} rounds`,
      students: [...names, 'Ivo'],
      groups: ['North', 'East', 'South'],
      original: false,
    });
    const page = await t.context().newPage();
    await page.goto(`/lessons/${lesson.id}`);
    await expect(page.getByText('9 students in 3 groups')).toBeVisible();
    const presses = await countPresses(page);
    if (rounds === 3) {
      await page.getByRole('button', { name: 'Add to running order' }).click();
      await page.getByRole('menuitem', { name: 'Plan several rounds at once' }).click();
      await page.getByRole('button', { name: 'Plan 3 rounds' }).click();
      await expect(page.getByRole('button', { name: /^Round 3, \d+ minutes/ })).toBeVisible();
      await expect(page.getByText('50 of 50 min planned')).toBeVisible();
    }
    await page.getByRole('button', { name: 'Create a worksheet' }).click();
    await page.getByLabel('Title', { exact: true }).fill('Stations');
    await page.getByRole('button', { name: '+ Question: one answer together' }).click();
    await page.keyboard.type('What did you find here?');
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    // The list is carried out as it was shown: pressed before the copies stand in it, it would be refused as changed.
    await page.getByRole('button', { name: /^Set up .*copies/ }).click();
    await expect(page.getByText('Everything is in place.')).toBeVisible();
    const rows = (await (await page.request.get(`/api/staff/lessons/${lesson.id}`)).json()) as {
      order: { segments: { roundId: string | null }[] };
    };
    for (const { roundId } of rows.order.segments) {
      if (roundId === null) continue;
      const view = (await (await page.request.get(`/api/staff/lessons/${lesson.id}?segment=${roundId}`)).json()) as {
        copies: unknown[];
      };
      expect(view.copies.length).toBeGreaterThan(0);
    }
    return presses();
  };
  const one = await of(1);
  const three = await of(3);
  console.log(`From groups to ready: one round ${one} presses, three rotated rounds ${three}.`);
  expect(three - one).toBeLessThanOrEqual(4);
});
