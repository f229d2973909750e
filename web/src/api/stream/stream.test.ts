import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem } from '../problem';
import { listen, type StreamAddress } from './stream';

class FakeSource {
  static readonly CLOSED = 2;
  static opened: FakeSource[] = [];
  onopen: (() => void) | null = null;
  onmessage: ((event: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  readyState = 1;
  closed = false;
  constructor(readonly url: string) {
    FakeSource.opened.push(this);
  }
  close(): void {
    this.closed = true;
  }
  hear(message: unknown): void {
    this.onmessage?.({ data: JSON.stringify(message) });
  }
  refuse(): void {
    this.readyState = FakeSource.CLOSED;
    this.onerror?.();
  }
}

function last(): FakeSource {
  const source = FakeSource.opened.at(-1);
  if (source === undefined) throw new Error('Nothing is open.');
  return source;
}
const soon = (ms: number) => vi.advanceTimersByTimeAsync(ms);

describe('a stream', () => {
  const heard: unknown[] = [];
  const look = vi.fn();
  let stop: () => void = () => undefined;
  const start = (ask: () => Promise<StreamAddress>) => {
    stop = listen(ask, { onMessage: (message) => heard.push(message), onLookAgain: look });
  };

  beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal('EventSource', FakeSource);
    FakeSource.opened = [];
    heard.length = 0;
    look.mockReset();
  });
  afterEach(() => {
    stop();
    vi.unstubAllGlobals();
    vi.useRealTimers();
  });

  it('asks for an address, listens there, and looks again when it is open', async () => {
    start(() => Promise.resolve({ address: '/stream/1/a/b', forSeconds: 600 }));
    await soon(0);
    expect(last().url).toBe('/stream/1/a/b');
    last().onopen?.();
    expect(look).toHaveBeenCalledOnce();
    last().hear({ kind: 'refresh' });
    expect(heard).toEqual([{ kind: 'refresh' }]);
  });

  it('asks for another address where the old one is refused, and polls until it is open again', async () => {
    let asked = 0;
    start(() => Promise.resolve({ address: `/stream/${String(++asked)}`, forSeconds: 600 }));
    await soon(0);
    last().refuse();
    await soon(5_000);
    expect(last().url).toBe('/stream/2');
    expect(look).toHaveBeenCalled();
    last().onopen?.();
    look.mockReset();
    await soon(20_000);
    expect(look).not.toHaveBeenCalled();
  });

  it('comes back to the same address by itself while that is good, and asks nobody', async () => {
    const ask = vi.fn(() => Promise.resolve({ address: '/stream/1', forSeconds: 600 }));
    start(ask);
    await soon(0);
    window.dispatchEvent(new Event('online'));
    await soon(0);
    expect(FakeSource.opened).toHaveLength(2);
    expect(ask).toHaveBeenCalledOnce();
    await soon(601_000);
    window.dispatchEvent(new Event('online'));
    await soon(0);
    expect(ask).toHaveBeenCalledTimes(2);
  });

  it('is closed when the right to listen ends, looks again, and tries for another one', async () => {
    let asked = 0;
    start(() =>
      ++asked === 1
        ? Promise.resolve({ address: '/stream/1', forSeconds: 600 })
        : Promise.reject(new ApiProblem(401, 'Enter your name first.')),
    );
    await soon(0);
    const first = last();
    first.hear({ kind: 'end' });
    expect(first.closed).toBe(true);
    expect(heard).toEqual([]);
    expect(look).toHaveBeenCalledOnce();
    await soon(4_000);
    expect(asked).toBe(2);
    expect(FakeSource.opened).toHaveLength(1);
  });

  it('looks again when the device wakes up: its clock and all it knows may be old', async () => {
    start(() => Promise.resolve({ address: '/stream/1/a/b', forSeconds: 600 }));
    await soon(0);
    last().onopen?.();
    look.mockReset();
    document.dispatchEvent(new Event('visibilitychange'));
    expect(look).toHaveBeenCalledOnce();
  });

  it('does nothing any more once it is stopped', async () => {
    start(() => Promise.resolve({ address: '/stream/1', forSeconds: 600 }));
    stop();
    await soon(10_000);
    expect(FakeSource.opened).toHaveLength(0);
  });
});
