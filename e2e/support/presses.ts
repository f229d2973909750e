import type { Page } from '@playwright/test';

/** Counts what is pressed on a page from now on, until it is loaded anew; typing is not counted. */
export async function countPresses(page: Page): Promise<() => number> {
  let presses = 0;
  await page.exposeFunction('pressed', () => presses++);
  await page.evaluate(() => {
    const told = (window as unknown as { pressed: () => void }).pressed;
    addEventListener('pointerdown', (event) => event.isTrusted && told(), { capture: true });
  });
  return () => presses;
}
