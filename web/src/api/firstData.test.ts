import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { runInNewContext } from 'node:vm';
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

describe('what the page asks for itself where the server has not, before its scripts are here', () => {
  const script =
    /<script data-lesson[^>]*>(.*?)<\/script>/s.exec(
      readFileSync(resolve(import.meta.dirname, '../../index.html'), 'utf8'),
    )?.[1] ?? '';
  const asked = (pathname: string, search = '', dataset: Record<string, string> = {}) => {
    const urls: string[] = [];
    const dummy = { append: () => undefined, add: () => undefined };
    runInNewContext(script, {
      location: { pathname, search },
      localStorage: { getItem: () => null },
      document: {
        documentElement: { dataset, classList: dummy },
        currentScript: { dataset: { lesson: '', class: '', type: '' } },
        head: dummy,
        createElement: () => ({}),
      },
      addEventListener: () => undefined,
      fetch: (url: string) => {
        urls.push(url);
        return Promise.resolve(null);
      },
    });
    return urls;
  };

  it.each(['/', `/lessons/${id}`])('is the same at %s', (path) =>
    expect(asked(path)).toEqual(firstQuestions(path)?.map((question) => question.path)),
  );

  it('is some of it on other pages, and nothing where it has', () => {
    expect(firstQuestions(`/classes/${id}`)?.map((question) => question.path)).toEqual(
      expect.arrayContaining(asked(`/classes/${id}`)),
    );
    expect(asked('/account')).toEqual(['/api/staff/me']);
    expect(asked(`/lessons/${id}`, '?segment=x'), 'another round than the lesson has now').toEqual(['/api/staff/me']);
    expect(asked('/', '', { first: '' })).toEqual([]);
  });
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
