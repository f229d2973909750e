import { lazy, type ComponentType } from 'react';

const firstRetry = 500;
const slowestRetry = 8_000;

/** What comes later may come over a poor line: it is asked for until it is there, and the page goes on meanwhile. */
export async function untilThere<T>(load: () => Promise<T>): Promise<T> {
  for (let wait = firstRetry; ; wait = Math.min(slowestRetry, 2 * wait)) {
    try {
      return await load();
    } catch {
      await new Promise((done) => setTimeout(done, wait));
    }
  }
}

/** A part of a page that is loaded when it is first shown. */
export const lazily = <P extends object>(load: () => Promise<{ default: ComponentType<P> }>) =>
  lazy(() => untilThere(load));
