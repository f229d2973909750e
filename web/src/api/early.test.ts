import { afterEach, describe, expect, it } from 'vitest';
import { earlyStatus, nobody, takeEarly } from './early';

const ask = (url: string, method = 'GET') => new Request(new URL(url, 'http://127.0.0.1/'), { method });

describe('what the page asked for before its scripts were here', () => {
  afterEach(() => delete window.early);
  const asked = (at = Date.now()) => {
    window.early = { at, answers: { '/api/student/now': Promise.resolve(Response.json({ seq: 7 })) } };
  };

  it('is taken once', async () => {
    asked();
    expect(await (await takeEarly(ask('/api/student/now')))?.json()).toEqual({ seq: 7 });
    expect(await takeEarly(ask('/api/student/now'))).toBeNull();
  });

  it('is not taken for something else, nor when it has grown old', async () => {
    asked();
    expect(await takeEarly(ask('/api/student/copies/1'))).toBeNull();
    expect(await takeEarly(ask('/api/student/now', 'POST'))).toBeNull();
    asked(Date.now() - 60_000);
    expect(await takeEarly(ask('/api/student/now'))).toBeNull();
  });

  it('can be looked at before it is taken, and is not waited for long', async () => {
    asked();
    expect(await earlyStatus('/api/student/now')).toBe(200);
    expect(await takeEarly(ask('/api/student/now'))).not.toBeNull();
    expect(await earlyStatus('/api/student/now')).toBeNull();
    window.early = { at: 0, answers: { '/slow': new Promise(() => undefined) } };
    expect(await earlyStatus('/slow', 10)).toBeNull();
  });

  it('that nobody was signed in is known, and is no answer to who has signed in since', async () => {
    window.early = {
      at: Date.now(),
      answers: { '/api/staff/me': Promise.resolve(new Response(null, { status: 204 })) },
    };
    expect(await earlyStatus('/api/staff/me')).toBe(nobody);
    expect(await takeEarly(ask('/api/staff/me'))).toBeNull();
  });
});
