import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** No serious finding on a screen, and nothing that has to be scrolled sideways. */
export async function isOpenToAll(page: Page, screen: string) {
  const { violations } = await new AxeBuilder({ page })
    .options({ resultTypes: ['violations'] })
    .setLegacyMode()
    .analyze();
  const serious = violations.filter((one) => one.impact === 'serious' || one.impact === 'critical');
  expect(
    serious.map((one) => `${screen}: ${one.id}: ${one.nodes[0]?.html ?? ''} ${one.nodes[0]?.failureSummary ?? ''}`),
  ).toEqual([]);
  const tooWide = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(tooWide, `${screen} is ${tooWide} px too wide`).toBeLessThanOrEqual(0);
}
