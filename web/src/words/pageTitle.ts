import * as m from '#messages';

/** The title of a page in the browser: what it shows, and the product's name. */
export function pageTitle(what?: string): string {
  return what === undefined || what === '' ? m.common_product() : m.common_pageTitle({ what });
}
