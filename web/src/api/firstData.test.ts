import { afterEach, describe, expect, it } from 'vitest';
import { firstDataHtml, firstQuestions, takeFirstData, type FirstData } from './firstData';

const id = '01a22d0f-e3d2-77c3-b0ec-36387b50bcdf';

describe('what the server asks for the first view', () => {
  it('is what the home page, a class and a lesson need first', () => {
    expect(firstQuestions('/')?.map((one) => one.path)).toEqual([
      '/api/staff/me',
      '/api/staff/classes',
      '/api/staff/lessons',
    ]);
    expect(firstQuestions(`/lessons/${id}`)?.map((one) => one.path)).toEqual([
      '/api/staff/me',
      `/api/staff/lessons/${id}`,
    ]);
    expect(firstQuestions(`/classes/${id}`)).toContainEqual({ key: ['class', id], path: `/api/staff/classes/${id}` });
  });

  it.each(['/account', `/lessons/${id}/x`, '/lessons/x', `/lessons/${id}%2F..`, `//lessons/${id}`, '/lessons/../me'])(
    'is nothing for %s',
    (path) => expect(firstQuestions(path)).toBeNull(),
  );
});

describe('what the server has answered in the page', () => {
  afterEach(() => {
    document.body.innerHTML = '';
    delete window.early;
  });

  it('is taken once, with the moment the page came', () => {
    const first: FirstData = {
      now: 5,
      answers: [{ key: ['class', id], data: { name: 'Weiß' } }],
      texts: { 'date 5': '1 Jan 1970' },
    };
    document.body.innerHTML = firstDataHtml(first);
    window.early = { at: 7, answers: {} };
    expect(takeFirstData()).toEqual({ ...first, at: 7 });
    expect(takeFirstData()).toBeNull();
  });

  it('cannot end its place in the page, whatever a name says', () => {
    const name = '</script><script>broken()</script><!--<script>\u2028';
    const html = firstDataHtml({ now: 0, answers: [{ key: ['me'], data: { name } }], texts: {} });
    expect(html.match(/<\/?script/g)).toHaveLength(2);
    document.body.innerHTML = html;
    expect(takeFirstData()?.answers[0]?.data).toEqual({ name });
  });
});
