// A line is too slow for pictures when it has been so twice in a row.
import { describe, expect, it } from 'vitest';
import { counted, LineQuality } from './lineQuality';

/** What a line is said to be, looked at again and again; each with the packets that came and were lost meanwhile. */
function looks(moments: [came: number, lost: number, canSend?: number | null][], sendsPicture = false): boolean[] {
  const quality = new LineQuality();
  let [received, lost] = [1_000, 7];
  quality.isSlow({ received, lost, canSend: null }, sendsPicture);
  return moments.map(([came, gone, canSend = null]) => {
    received += came;
    lost += gone;
    return quality.isSlow({ received, lost, canSend }, sendsPicture);
  });
}

describe('a line', () => {
  it('is slow when more than one packet in twelve is lost, twice in a row', () => {
    expect(
      looks([
        [900, 100],
        [900, 100],
      ]),
    ).toEqual([false, true]);
  });
  it('is not slow after one bad moment, nor after two with a good one between', () => {
    expect(
      looks([
        [900, 100],
        [1_000, 0],
        [900, 100],
      ]),
    ).toEqual([false, false, false]);
  });
  it('is not slow where hardly anything arrives: silence is not sent', () => {
    expect(
      looks([
        [20, 20],
        [20, 20],
        [0, 0],
      ]),
    ).toEqual([false, false, false]);
  });
  it('is slow when it can send less than 150 kbit/s while a camera is sent', () => {
    expect(
      looks(
        [
          [1_000, 0, 149_000],
          [1_000, 0, 120_000],
        ],
        true,
      ),
    ).toEqual([false, true]);
    expect(
      looks(
        [
          [1_000, 0, 151_000],
          [1_000, 0, 151_000],
        ],
        true,
      ),
    ).toEqual([false, false]);
  });
  it('may send little where only sound is sent', () => {
    expect(
      looks([
        [1_000, 0, 90_000],
        [1_000, 0, 90_000],
      ]),
    ).toEqual([false, false]);
  });
  it('is judged anew after somebody has asked for pictures again', () => {
    const quality = new LineQuality();
    for (const received of [0, 900, 1_800]) quality.isSlow({ received, lost: received / 4, canSend: null }, false);
    quality.forget();
    expect(quality.isSlow({ received: 2_700, lost: 700, canSend: null }, false)).toBe(false);
    expect(quality.isSlow({ received: 3_600, lost: 700, canSend: null }, false)).toBe(false);
  });
  it('that is connected anew counts from nothing', () => {
    expect(
      looks([
        [-990, -7],
        [1_000, 0],
      ]),
    ).toEqual([false, false]);
  });
});

it('adds up what arrives on all connections', async () => {
  const connection = (...reports: object[]) =>
    ({ getStats: () => Promise.resolve(new Map(reports.map((report, i) => [String(i), report]))) }) as never;
  expect(
    await counted(
      null,
      connection({ type: 'candidate-pair', availableOutgoingBitrate: 300_000 }),
      connection(
        { type: 'inbound-rtp', packetsReceived: 10, packetsLost: 1 },
        { type: 'inbound-rtp', packetsReceived: 20 },
        { type: 'codec' },
      ),
    ),
  ).toEqual({ received: 30, lost: 1, canSend: 300_000 });
});
