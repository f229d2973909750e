/** Requests that wait no longer than this for their turn are no reason to send less. */
const soonEnough = 40;
/** A page waits this many times as long as its requests do. */
const share = 8;
/** But at most this many times as long as it usually would. */
const atMost = 8;

/** How late the server is, by its last answers; where it is late, a page sends less often by itself. */
export class Pace {
  private late = 0;

  /** @param ms how long a request waited for its turn */
  note(ms: number): void {
    this.late += (ms - this.late) / 4;
  }

  /** @param usual milliseconds; @returns how long to wait as things stand */
  wait(usual: number): number {
    return this.late <= soonEnough ? usual : Math.min(atMost * usual, Math.max(usual, share * this.late));
  }
}

/** How long a request waited on the server for its turn, as its answer says. A slow line does not count. */
export function queued(headers: { get: (name: string) => string | null }): number {
  return Number(/queue;dur=(\d+)/.exec(headers.get('Server-Timing') ?? '')?.[1] ?? 0);
}

/** Of this page. */
export const pace = new Pace();
