/** How often the server lets this page send: fewer sendings when it has more to do than it can. */
export class Pace {
  private least = 0;

  /** @param ms between two sendings, as the last answer says; 0: as the page likes */
  note(ms: number): void {
    this.least = ms;
  }

  /** @param usual milliseconds; @returns how long to wait as things stand; pages that are told the same spread out */
  wait(usual: number): number {
    return Math.max(usual, this.least * (0.75 + Math.random() / 2));
  }
}

/** The pace an answer tells, in milliseconds; 0: none. */
export function paceIn(headers: { get: (name: string) => string | null }): number {
  return Number(/^\d{1,6}$/.exec(headers.get('Pace') ?? '')?.[0] ?? 0);
}

/** Of this page. */
export const pace = new Pace();
