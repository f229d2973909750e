import { test as base } from '@playwright/test';

/**
 * As Playwright's, and whoever came in a test goes with it: pages left open listen and ask on through all that follow.
 */
export const test = base.extend<{ goneAfterwards: undefined }>({
  goneAfterwards: [
    async ({ browser }, use) => {
      await use(undefined);
      await Promise.all(browser.contexts().map((context) => context.close()));
    },
    { auto: true },
  ],
});
