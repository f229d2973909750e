// Parts of pages that are loaded when they are shown first.
import { lazy, Suspense, type ComponentType } from 'react';

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

/** As `lazily`, for a file that names what it has. */
export const lazilyFrom = <F, P extends object>(load: () => Promise<F>, pick: (file: F) => ComponentType<P>) =>
  lazily<P>(() => load().then((file) => ({ default: pick(file) })));

const waiting: (() => Promise<unknown>)[] = [];
let quiet = false;

/** Called after the first view: fetches the parts that a press may need next, one after the other. */
export async function fetchParts(): Promise<void> {
  quiet = true;
  for (let load = waiting.shift(); load !== undefined; load = waiting.shift()) await untilThere(load);
}

/**
 * A part of a page that is not visible at first. It is fetched after the first view, or earlier if it is shown earlier.
 *
 * @param load the file
 * @param pick the component in it
 */
export function part<F, P extends object>(load: () => Promise<F>, pick: (file: F) => ComponentType<P>) {
  const Part = lazilyFrom(load, pick);
  waiting.push(load);
  if (quiet) void fetchParts();
  return function PartOfPage(props: P) {
    return (
      <Suspense fallback={null}>
        <Part {...props} />
      </Suspense>
    );
  };
}
