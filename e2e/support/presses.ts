// Counts presses: what a teacher has to press for something is part of what a test says.
import type { Page } from '@playwright/test';

const counted = new WeakMap<Page, { presses: number }>();

/** Counts what is pressed on a page from now on, until it is loaded anew; typing is not counted. */
export async function countPresses(page: Page): Promise<() => number> {
  let count = counted.get(page);
  if (count === undefined) {
    const fresh = { presses: 0 };
    counted.set(page, (count = fresh));
    await page.exposeFunction('pressed', () => fresh.presses++);
  }
  const known = count;
  const before = known.presses;
  await page.evaluate(() => {
    const told = (window as unknown as { pressed: () => void }).pressed;
    addEventListener('pointerdown', (event) => event.isTrusted && told(), { capture: true });
  });
  return () => known.presses - before;
}
