import { expect, type APIRequestContext } from '@playwright/test';
import type { components } from '../web/src/api/generated';
import { teacher } from './support/people';
import { test } from './support/test';

type ClassView = components['schemas']['ClassView'];
type LessonView = components['schemas']['LessonView'];

/** Real connections at the same moment: what the database promises, and not what was checked before. */
test.describe('at the same time', () => {
  async function make(api: APIRequestContext, names: string[]): Promise<ClassView> {
    const answer = await api.post('/api/staff/classes', { data: { name: 'At once', names: names.join('\n') } });
    return (await answer.json()) as ClassView;
  }
  const again = async (api: APIRequestContext, id: string) =>
    (await (await api.get(`/api/staff/classes/${id}`)).json()) as ClassView;

  test('eight edits of one student’s attributes all count', async ({ browser }) => {
    const api = (await teacher(browser)).request;
    for (let round = 0; round < 5; round++) {
      const made = await make(api, ['Ada Lund']);
      const id = made.students[0]?.id ?? '';
      const names = Array.from({ length: 8 }, (_, i) => `Column ${String(i)}`);
      const answers = await Promise.all(
        names.map((name) => api.patch(`/api/staff/students/${id}`, { data: { attributes: [{ name, value: 'x' }] } })),
      );
      expect(answers.map((answer) => answer.status())).toEqual(names.map(() => 204));
      const kept = (await again(api, made.id)).students[0]?.attributes?.map((one) => one.name) ?? [];
      expect(kept.sort()).toEqual(names);
    }
  });

  test('two students are never renamed to one name', async ({ browser }) => {
    const api = (await teacher(browser)).request;
    for (let round = 0; round < 8; round++) {
      const made = await make(api, ['Ada Lund', 'Ben Oduya', 'Chi Nakagawa', 'Dov Petrescu']);
      const answers = await Promise.all(
        made.students.map(({ id }) => api.patch(`/api/staff/students/${id}`, { data: { name: 'Élodie Marsh' } })),
      );
      expect(answers.map((answer) => answer.status()).sort()).toEqual([204, 422, 422, 422]);
      const names = (await again(api, made.id)).students.map((student) => student.name);
      expect(names.filter((name) => name === 'Élodie Marsh')).toHaveLength(1);
    }
  });

  test('one name is claimed by one device', async ({ browser, playwright, baseURL }) => {
    const api = (await teacher(browser)).request;
    const made = await make(api, ['Ada Lund', 'Ben Oduya']);
    const devices = await Promise.all(
      Array.from({ length: 8 }, () => playwright.request.newContext({ baseURL: baseURL ?? '' })),
    );
    const answers = await Promise.all(
      devices.map((device) =>
        device.post('/api/student/join', { data: { doorWord: made.doorWord, name: 'Ada Lund' } }),
      ),
    );
    expect(answers.map((answer) => answer.status()).sort()).toEqual([200, 409, 409, 409, 409, 409, 409, 409]);
    const inside = await Promise.all(devices.map((device) => device.get('/api/student/now')));
    expect(inside.filter((answer) => answer.ok())).toHaveLength(1);
    await Promise.all(devices.map((device) => device.dispose()));
  });

  test('a grouping that a lesson takes up is not removed, and one that was removed is not taken up', async ({
    browser,
  }) => {
    const api = (await teacher(browser)).request;
    const made = await make(api, ['Ada Lund', 'Ben Oduya', 'Chi Nakagawa']);
    const lesson = (await (
      await api.post(`/api/staff/classes/${made.id}/lessons`, { data: { title: 'Taking up', minutes: 50 } })
    ).json()) as LessonView;
    for (let round = 0; round < 12; round++) {
      const grouping = (await (
        await api.post(`/api/staff/classes/${made.id}/groupings`, { data: { name: `Groups ${String(round)}` } })
      ).json()) as components['schemas']['DeskView'];
      const [taken, removed] = await Promise.all([
        api.patch(`/api/staff/segments/${lesson.round.segmentId}`, { data: { groupingId: grouping.id } }),
        api.delete(`/api/staff/groupings/${grouping.id}`),
      ]);
      expect([taken.ok(), removed.ok()].filter(Boolean), 'one of the two').toHaveLength(1);
      const now = (await (await api.get(`/api/staff/lessons/${lesson.id}`)).json()) as LessonView;
      expect(now.floor.id === grouping.id).toBe(taken.ok());
    }
  });
});
