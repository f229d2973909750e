// Lessons that are planned through the API, for tests that are not about planning.
import { expect, type Page } from '@playwright/test';
import type { components } from '../../web/src/api/generated';

type Lesson = components['schemas']['LessonView'];

interface Plan {
  name: string;
  students: string[];
  groups: string[];
  round?: components['schemas']['EditSegment'];
  /** Where its groups meet; the simulated meeting service where nothing is said. */
  rooms?: components['schemas']['RoomSourceView']['kind'];
  /** False: nothing is handed out yet. */
  original?: false;
}

async function send<T>(page: Page, method: 'POST' | 'PATCH' | 'PUT', path: string, data: unknown): Promise<T> {
  const answer = await page.request.fetch(path, { method, data });
  expect(answer.ok(), `${method} ${path}: ${await answer.text()}`).toBe(true);
  return (await answer.json()) as T;
}

/** A class meets at the simulated meeting service, whose faults can be asked for. */
export const meetAtService = (page: Page, classId: string) =>
  send(page, 'PUT', `/api/staff/classes/${classId}/room-source`, { kind: 'meetingService' });

/** A lesson with groups, an original and copies, planned through the API: for tests that are about what comes after. */
export async function readyLesson(page: Page, plan: Plan): Promise<Lesson> {
  const made = await send<components['schemas']['ClassView']>(page, 'POST', '/api/staff/classes', {
    name: plan.name,
    names: plan.students.join('\n'),
  });
  const kind = plan.rooms ?? 'meetingService';
  await send(page, 'PUT', `/api/staff/classes/${made.id}/room-source`, { kind });
  const lesson = await send<Lesson>(page, 'POST', `/api/staff/classes/${made.id}/lessons`, {
    title: `${plan.name} lesson`,
    minutes: 50,
  });
  const desk = `/api/staff/groupings/${lesson.floor.id}`;
  let floor = await send<Lesson['floor']>(page, 'POST', `${desk}/deal`, {
    basedOn: 0,
    groups: plan.groups.length,
    seed: 1,
  });
  for (const [i, name] of plan.groups.entries()) {
    floor = await send(page, 'POST', `${desk}/edits`, {
      basedOn: floor.step,
      kind: 'rename',
      group: floor.groups[i]?.id,
      name,
    });
  }
  const blocks = [
    { id: 'each', kind: 'each', text: 'What do you see?' },
    { id: 'together', kind: 'together', text: 'What do you all say?' },
  ];
  if (plan.original !== false) {
    await send(page, 'POST', `/api/staff/rounds/${lesson.round.id}/originals`, {
      title: 'The sheet',
      basedOn: 0,
      pages: [{ id: 'page-1', title: '', blocks }],
    });
    await send(page, 'POST', `/api/staff/rounds/${lesson.round.id}/copies`, {});
  }
  await send(page, 'PATCH', `/api/staff/segments/${lesson.round.segmentId}`, plan.round ?? { lookSeconds: 0 });
  return (await (await page.request.get(`/api/staff/lessons/${lesson.id}`)).json()) as Lesson;
}
