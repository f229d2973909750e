// Groups talk in rooms of our own: who hears whom, by the tones each page plays.
import { expect } from '@playwright/test';
import { student, teacher, type Student } from './support/people';
import { readyLesson } from './support/plan';
import { expectTones, giveTone } from './support/tones';
import { test } from './support/test';

test('two of a group hear each other, and nobody of another group', async ({ browser }) => {
  const t = await teacher(browser);
  const lesson = await readyLesson(t, {
    name: '9A Talking',
    students: ['Ada Lund', 'Ben Oduya', 'Chi Tran', 'Dov Katz'],
    groups: ['Quayside', 'Millbrook'],
  });
  const source = await t.request.put(`/api/staff/classes/${lesson.classId}/room-source`, {
    data: { kind: 'ownRooms' },
  });
  expect(source.ok(), await source.text()).toBe(true);
  const tones = [440, 700, 1_100, 1_700];
  const people: (Student & { id: string })[] = [];
  for (const [i, one] of lesson.students.entries())
    people.push({
      id: one.id,
      ...(await student(browser, lesson.doorWord, one.name, 'light', (context) => giveTone(context, tones[i] ?? 0))),
    });
  await t.request.post(`/api/staff/lessons/${lesson.id}/commands`, {
    data: { kind: 'sendOut' },
    headers: { 'Idempotency-Key': crypto.randomUUID() },
  });
  for (const { page } of people) await page.getByRole('button', { name: 'Join your group' }).click();
  for (const [i, { page, id }] of people.entries()) {
    const group = lesson.floor.groups.find((one) => one.students.includes(id));
    const mates = tones.filter((_, j) => j !== i && group?.students.includes(people[j]?.id ?? ''));
    await expectTones(page, tones, mates);
  }
});
