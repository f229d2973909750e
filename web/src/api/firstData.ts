import type { Schema } from './client';

/** What the server asked for the first view of a page, and answered in the page itself. */
export interface FirstData {
  /** What the server's clock showed then, milliseconds since 1970. */
  now: number;
  /** By the keys of the page's queries. */
  answers: { key: Key; data: unknown }[];
  /** Dates and lists as they stand in the page (see words/written). */
  texts: Record<string, string>;
}

type Key = (string | boolean | null)[];

/** The address of each question, by its key. */
export type FirstQuestions = { key: Key; path: string }[];

const one = /^\/(lessons|classes)\/([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})$/;

/**
 * What a page needs for its first view.
 *
 * @param pathname of the page, without what is asked of it
 * @returns null: it is not rendered by the server
 */
export function firstQuestions(pathname: string): FirstQuestions | null {
  const me = { key: ['me'], path: '/api/staff/me' };
  const lists = [
    { key: ['classes'], path: '/api/staff/classes' },
    { key: ['lessons'], path: '/api/staff/lessons' },
  ];
  if (pathname === '/') return [me, ...lists];
  const [, of, id] = one.exec(pathname) ?? [];
  if (of === 'lessons' && id !== undefined) return [me, { key: ['lesson', id], path: `/api/staff/lessons/${id}` }];
  if (of === 'classes' && id !== undefined)
    return [
      me,
      ...lists,
      { key: ['class', id], path: `/api/staff/classes/${id}` },
      { key: ['groupings', id], path: `/api/staff/classes/${id}/groupings` },
    ];
  return null;
}

/** What the page of a lesson needs besides, by what is known of the lesson. */
export function furtherQuestions(lesson: Schema['LessonView']): FirstQuestions {
  if (lesson.endedAt !== null) return [];
  return [
    { key: ['groupings', lesson.classId], path: `/api/staff/classes/${lesson.classId}/groupings` },
    {
      key: ['sending', lesson.round.id, lesson.setUpList?.digest ?? null, lesson.setUp?.running ?? null],
      path: `/api/staff/rounds/${lesson.round.id}/sending`,
    },
  ];
}

/** The element that holds it. */
const place = 'first-data';

/** For the head: browsers that know it show the page when all of it has come, so that nothing moves. */
export const wholeAtOnce = `<link rel="expect" href="#${place}" blocking="render">`;

/** For the page: nothing in it can end the element. */
export const firstDataHtml = (data: FirstData): string =>
  `<script type="application/json" id="${place}">${JSON.stringify(data).replaceAll('<', '\\u003c')}</script>`;

/** @returns it, once, and when the page came by this device's clock; null where the server did not render the page */
export function takeFirstData(): (FirstData & { at: number }) | null {
  const element = document.getElementById(place);
  if (element === null) return null;
  element.remove();
  return { ...(JSON.parse(element.textContent) as FirstData), at: window.early?.at ?? Date.now() };
}
