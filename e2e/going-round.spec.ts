import { expect } from '@playwright/test';
import { isOpenToAll } from './support/access';
import { goToRoom, student, table, teacher } from './support/people';
import { readyLesson } from './support/plan';
import { test } from './support/test';

/** What a page plays: its sources that sound just now. */
const sounding = () => {
  const heard = new Set<AudioBufferSourceNode>();
  class Heard extends AudioContext {
    override createBufferSource() {
      const source = super.createBufferSource();
      const start = source.start.bind(source);
      const stop = source.stop.bind(source);
      source.start = (...when) => {
        heard.add(source);
        start(...when);
      };
      source.stop = (...when) => {
        heard.delete(source);
        stop(...when);
      };
      return source;
    }
  }
  Object.assign(window, { heard, AudioContext: Heard });
};
/** How often what sounds crosses zero in a second, by source: the tone of a room is known by it. */
const tones = () =>
  [...(window as unknown as { heard: Set<AudioBufferSourceNode> }).heard].map(({ buffer }) => {
    const data = buffer?.getChannelData(0) ?? new Float32Array();
    let crossings = 0;
    for (let i = 1; i < data.length; i++) if ((data[i - 1] ?? 0) < 0 !== (data[i] ?? 0) < 0) crossings++;
    return Math.round(crossings / 2 / (buffer?.duration ?? 1));
  });

test('going round: calls, visits, marks, and one room heard at a time', async ({ browser }) => {
  const t = await teacher(browser);
  await t.addInitScript(sounding);
  const names = ['Ada Tamm', 'Ben Tamm', 'Chi Tamm', 'Dov Tamm', 'Esi Tamm', 'Fay Tamm'];
  const lesson = await readyLesson(t, { name: 'Going round', students: names, groups: ['Quayside', 'Millbrook'] });
  await t.goto(`/lessons/${lesson.id}`);
  const of = (group: string) => {
    const id = lesson.floor.groups.find((one) => one.name === group)?.students[0];
    return lesson.students.find((one) => one.id === id)?.name ?? '';
  };
  await t
    .getByRole('button', { name: /^Set up/ })
    .first()
    .click();
  await expect(t.getByText('3 rooms ready')).toBeVisible();
  const quay = await student(browser, lesson.doorWord, of('Quayside'));
  const mill = await student(browser, lesson.doorWord, of('Millbrook'));
  await t.getByRole('button', { name: /^Send 6 students/ }).click();
  for (const who of [quay, mill]) await expect(who.page.getByRole('button', { name: 'Ask for help' })).toBeVisible();
  const order = t.getByRole('region', { name: 'Visit next' });

  await test.step('a group calls; the teacher sees it first, and lets it know', async () => {
    await mill.page.getByRole('button', { name: 'Ask for help' }).click();
    await isOpenToAll(mill.page, 'what the call is about');
    await mill.page.getByRole('button', { name: 'We’re stuck' }).click();
    await expect(mill.page.getByText('You’ve asked your teacher for help. You’re next.')).toBeVisible();
    await expect(order.getByRole('button', { name: /Visit Millbrook.*stuck/ })).toBeVisible();
    await expect(t.getByText('asking for help: stuck')).toBeVisible();
    await expect(quay.page.getByRole('button', { name: 'Ask for help' })).toBeVisible();
    await order.getByRole('button', { name: 'Tell them you’ve seen it' }).click();
    await expect(mill.page.getByText('Your teacher knows. You’re next.')).toBeVisible();
    await isOpenToAll(t, 'whom to visit');
  });

  await test.step('one press: into the room, the clock runs, the copy of the group lies open', async () => {
    const room = await goToRoom(mill);
    const [popup] = await Promise.all([
      t.context().waitForEvent('page'),
      order.getByRole('button', { name: /Visit Millbrook/ }).click(),
    ]);
    await expect(popup.getByRole('heading', { name: 'Here now' })).toBeVisible();
    await expect(room.getByText('Ines Halvorsen')).toBeVisible();
    await expect(t.getByRole('heading', { name: /Millbrook/ })).toBeVisible();
    await t.keyboard.press('Escape');
    await expect(order.getByText('You’re with Millbrook')).toBeVisible();
    await expect(mill.page.getByText('You’ve asked your teacher for help')).toHaveCount(0);
    await order.getByRole('button', { name: 'Leave' }).click();
    await expect(order.getByRole('button', { name: /Visit Quayside/ })).toBeVisible();
  });

  await test.step('a chalk mark lies on one table and is read there alone', async () => {
    await table(t, 'Quayside').click();
    await t.getByRole('button', { name: 'Well done' }).click();
    await expect(quay.page.getByText('Your teacher says: well done!')).toBeVisible();
    await expect(mill.page.getByText('well done', { exact: false })).toHaveCount(0);
    await expect(t.getByText(/Well done/)).toBeVisible();
  });

  await test.step('one room is heard at a time, whichever ear is pressed', async () => {
    await goToRoom(quay);
    await t.getByRole('button', { name: 'Listen to Quayside' }).click();
    await expect.poll(() => t.evaluate(tones).then((all) => all.length === 1 && (all[0] ?? 0) > 200)).toBe(true);
    const [first] = await t.evaluate(tones);
    await t.getByRole('button', { name: 'Listen to Millbrook' }).click();
    await expect(t.getByRole('button', { name: 'Listen to Quayside' })).toHaveAttribute('aria-pressed', 'false');
    await expect
      .poll(() => t.evaluate(tones).then((all) => all.length === 1 && all[0] !== first && (all[0] ?? 0) > 200))
      .toBe(true);
    await t.getByRole('button', { name: 'Listen to Millbrook' }).click();
    await expect.poll(() => t.evaluate(tones)).toEqual([]);
  });
});
