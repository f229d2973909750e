import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { dropPressesWhileDown, patientFetch } from './client';
import { followed } from './line';

describe('presses on a teacher’s page', () => {
  const sent: Request[] = [];
  beforeEach(() => {
    sent.length = 0;
    dropPressesWhileDown();
    followed()(true);
    vi.stubGlobal('fetch', (request: Request) => {
      sent.push(request);
      return Promise.resolve(Response.json({}));
    });
  });
  afterEach(() => vi.unstubAllGlobals());

  const make = (title: string) =>
    patientFetch(
      new Request('http://school.example/api/staff/classes/c/lessons', {
        method: 'POST',
        body: JSON.stringify({ title, minutes: 50 }),
      }),
    );
  const keys = () => sent.map((request) => request.headers.get('Idempotency-Key'));

  it('have one key where they come twice, and another for something else', async () => {
    await Promise.all([make('Tides'), make('Tides')]);
    await make('Walls');
    const [one, again, other] = keys();
    expect(one).toBe(again);
    expect(other).not.toBe(one);
  });

  it('have a key of their own when they come later', async () => {
    vi.useFakeTimers();
    await make('Tides');
    vi.advanceTimersByTime(2_100);
    await make('Tides');
    expect(new Set(keys()).size).toBe(2);
    vi.useRealTimers();
  });

  it('are dropped while the line is down, and nothing is sent when it is back', async () => {
    followed()(false);
    expect((await make('Tides')).status).toBe(599);
    followed()(true);
    expect(sent).toHaveLength(0);
  });
});
