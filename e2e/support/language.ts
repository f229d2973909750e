import { expect, type Browser, type BrowserContext, type Page } from '@playwright/test';

/** What is not ours to translate: the name of the product, and what the browser writes in dates and lists. */
const always = [
  'Fresh',
  'Huddle',
  'and',
  'or',
  ...['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday'],
  ...['Saturday', 'Sunday', 'Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sept', 'Sep', 'Oct', 'Nov', 'Dec'],
];

/** A browser whose pages are in the made-up language: accents, 40 % longer, from right to left. */
export async function inOtherWords(
  browser: Browser,
  base: string,
  viewport: { width: number; height: number },
): Promise<BrowserContext> {
  const context = await browser.newContext({ viewport });
  await context.addCookies([{ name: 'language', value: 'qps', url: base }]);
  return context;
}

/**
 * Nothing on the page is in plain letters, except what people wrote; nothing of ours is cut; and the page reads from
 * right to left without having to be moved sideways.
 */
export async function isInOtherWords(page: Page, where: string, written: string[]): Promise<void> {
  const found = await page.evaluate(
    ([allowed]) => {
      const isShown = (element: Element) =>
        element.checkVisibility({ opacityProperty: true, visibilityProperty: true });
      const rest = (text: string) =>
        allowed
          .reduce((left, one) => left.split(one).join(' '), text)
          .replace(/\S+@\S+|\S*[./:]\S+\.\S*|\d\S*/g, ' ')
          .match(/[A-Za-z]{2,}/g)
          ?.join(' ') ?? '';
      const plain: string[] = [];
      const cut: string[] = [];
      const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
      for (let node = walk.nextNode(); node !== null; node = walk.nextNode()) {
        const element = node.parentElement;
        const text = node.textContent ?? '';
        if (element === null || !isShown(element) || element.closest('script, style, textarea') !== null) continue;
        if (rest(text) !== '') plain.push(`${text.trim()} (${rest(text)})`);
        const box = element.getBoundingClientRect();
        const style = getComputedStyle(element);
        const hides = (value: string) => value === 'hidden' || value === 'clip';
        // Drawn to scale, like the running order: the whole text is in the title. Read aloud only: nobody sees it.
        const isExempt = element.closest('[data-to-scale]') !== null || style.clipPath !== 'none';
        if (text.includes('⟦') && box.width > 2 && !isExempt)
          if (
            (hides(style.overflowX) && element.scrollWidth > element.clientWidth + 1) ||
            (hides(style.overflowY) && element.scrollHeight > element.clientHeight + 3)
          )
            cut.push(text.trim());
      }
      for (const element of document.querySelectorAll('[aria-label], [placeholder], [title], [alt]'))
        for (const name of ['aria-label', 'placeholder', 'title', 'alt']) {
          const text = element.getAttribute(name) ?? '';
          if (isShown(element) && rest(text) !== '') plain.push(`${name}: ${text} (${rest(text)})`);
        }
      const root = document.documentElement;
      return { plain, cut, direction: root.dir, sideways: root.scrollWidth - root.clientWidth };
    },
    [[...always, ...written].sort((one, other) => other.length - one.length)] as const,
  );
  expect.soft(found.plain, `${where}: not from the catalogue`).toEqual([]);
  expect.soft(found.cut, `${where}: cut`).toEqual([]);
  expect.soft(found.direction, where).toBe('rtl');
  expect.soft(found.sideways, `${where}: wider than the screen`).toBeLessThanOrEqual(0);
}
