// Teachers, assistants and students of a test, each in a browser of their own.
import { expect, type Browser, type BrowserContext, type Locator, type Page } from '@playwright/test';

const phone = { width: 390, height: 844 };

export interface Student {
  name: string;
  context: BrowserContext;
  /** The student's page. */
  page: Page;
}

/** A teacher signed in, in a browser of her own. */
export async function teacher(
  browser: Browser,
  colorScheme: 'light' | 'dark' = 'light',
  /** Done before the page opens. */
  prepare: (context: BrowserContext) => Promise<unknown> = () => Promise.resolve(),
): Promise<Page> {
  const context = await browser.newContext({ colorScheme });
  await prepare(context);
  const page = await context.newPage();
  await page.goto('/');
  await page.getByLabel('Email').fill('teacher@larkmouth.example');
  await page.getByLabel('Password').fill('harbour-lights');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Your classes' })).toBeVisible();
  await expect(page.getByRole('link', { name: /Class list of 9G/ })).toBeVisible();
  return page;
}

/** Somebody who assists in a class: asked by mail, they choose a password and are in. */
export async function assistant(
  browser: Browser,
  owner: Page,
  classId: string,
  address: string,
  name: string,
): Promise<Page> {
  const asked = await owner.request.post(`/api/staff/classes/${classId}/staff`, {
    data: { email: address, role: 'assistant' },
  });
  expect(asked.ok(), await asked.text()).toBe(true);
  const mailbox = new URL(owner.url());
  mailbox.port = String(Number(mailbox.port) + 5);
  let link = '';
  await expect(async () => {
    const mail = (await (
      await owner.request.get(new URL(`/messages?to=${encodeURIComponent(address)}`, mailbox).href)
    ).json()) as { text: string }[];
    link = /https?:\/\/\S+/.exec(mail.at(-1)?.text ?? '')?.[0] ?? '';
    expect(link).not.toBe('');
  }).toPass();
  const page = await (await browser.newContext()).newPage();
  await page.goto(link);
  await page.getByLabel('Your name').fill(name);
  await page
    .getByLabel(/assword/)
    .first()
    .fill('larkmouth-tides');
  await page.getByRole('button', { name: 'Accept invitation' }).click();
  await expect(page.getByText('You’ve joined the class.')).toBeVisible();
  await page.goto('/');
  await page.getByLabel('Email').fill(address);
  await page.getByLabel('Password').fill('larkmouth-tides');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Your classes' })).toBeVisible();
  return page;
}

/** A student who types the door word and their name, on a phone. */
export async function student(
  browser: Browser,
  doorWord: string,
  name: string,
  colorScheme: 'light' | 'dark' = 'light',
  /** Done before the page opens. */
  prepare: (context: BrowserContext) => Promise<unknown> = () => Promise.resolve(),
): Promise<Student> {
  const context = await browser.newContext({ viewport: phone, colorScheme });
  await prepare(context);
  const page = await context.newPage();
  await page.goto('/student');
  await page.getByLabel('Join words').fill(doorWord);
  await page.getByRole('button', { name: 'Find my class' }).click();
  await page.getByLabel('Your name').fill(name);
  await page.getByRole('button', { name: 'Join' }).click();
  await expect(page.getByText(`${name} ·`)).toBeVisible();
  return { name, context, page };
}

/** Presses the large button; the room opens in a page of its own. */
export async function goToRoom(who: Student): Promise<Page> {
  const link = who.page.locator('a[href="/api/student/room"]').filter({ visible: true });
  const [room] = await Promise.all([who.context.waitForEvent('page'), link.click()]);
  await expect(room.getByRole('heading', { name: 'Here now' })).toBeVisible();
  return room;
}

/** Where a table and its name tags stand on the floor. */
export async function seats(page: Page): Promise<Map<string, string[]>> {
  const tables = await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('[data-stop^="table:"]')].map((table): [string, string[]] => [
      (table.getAttribute('aria-label') ?? '').replace(/, \d+ students?$/, ''),
      [...(table.closest('li')?.querySelectorAll<HTMLElement>('[data-stop^="tag:"]') ?? [])].map(
        (tag) => tag.innerText,
      ),
    ]),
  );
  return new Map(tables);
}

export function tag(page: Page, name: string) {
  return page.locator('[data-stop^="tag:"]', { hasText: name });
}

export function table(page: Page, name: string) {
  return page.locator('[data-stop^="table:"]', { hasText: name });
}

/** Drags as a hand does: lets go once it is shown where it would land. */
export async function drag(page: Page, from: Locator, to: Locator) {
  await from.scrollIntoViewIfNeeded();
  await from.hover();
  // What drags is put in place when the pointer comes; a person is slower than that.
  await page.locator('[id^="DndLiveRegion"]').first().waitFor({ state: 'attached' });
  await page.mouse.down();
  await to.scrollIntoViewIfNeeded();
  await expect(async () => {
    const box = await to.boundingBox();
    const [x, y] = [(box?.x ?? 0) + (box?.width ?? 0) / 2, (box?.y ?? 0) + (box?.height ?? 0) / 2];
    await page.mouse.move(x - 4, y, { steps: 4 });
    await page.mouse.move(x, y);
    await expect(to).toHaveClass(/ring-4/, { timeout: 1_000 });
  }).toPass({ timeout: 20_000 });
  await page.mouse.up();
}

/** Chooses from a list that opens. */
export async function choose(where: Page | Locator, label: string, option: string) {
  const page = 'page' in where && typeof where.page === 'function' ? where.page() : (where as Page);
  await where.getByRole('button', { name: label }).click();
  await page
    .getByRole('option', { name: option, exact: true })
    .or(page.getByRole('menuitem', { name: option, exact: true }))
    .click();
}

/** Finds somebody by typing. */
export async function find(where: Page | Locator, label: string, name: string) {
  const page = 'page' in where && typeof where.page === 'function' ? where.page() : (where as Page);
  await where.getByRole('combobox', { name: label }).fill(name);
  await page.getByRole('option', { name, exact: true }).click();
}
