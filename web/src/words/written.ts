/**
 * Texts the server has written into the first view (dates, lists of names): the browser takes them over and need not
 * load what writes them, which costs a slow device a tenth of a second each, before another text is needed.
 */
let texts: Record<string, string> = {};

/** Only where the server renders: in the browser they would grow as long as the page is open. */
let isCollecting = false;

/** @param key of the text: what is written, and how */
export const written = (key: string, write: () => string): string =>
  texts[key] ?? (isCollecting ? (texts[key] = write()) : write());

/**
 * Where the server renders: from here on for another page.
 *
 * @returns where every text of it is put, by its key
 */
export function collectTexts(): Record<string, string> {
  isCollecting = true;
  return (texts = {});
}

/** In the browser: what the server has written; nothing once it was written for another place than this one. */
export function takeTexts(known: Record<string, string>): void {
  texts = known;
}
