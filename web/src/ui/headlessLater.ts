import { drag } from './dragLater';
import { fetchParts } from './lazily';
import { Later } from './later';

/**
 * What opens: lists, menus, slips, sheets. Nothing of it is open when a page is first shown. It comes with what is needed to
 * drag: nothing that has been opened is made anew because something can now be dragged.
 */
export const headless = new Later(async () => {
  const [parts] = await Promise.all([import('./headless'), drag.load()]);
  void fetchParts();
  return parts;
});
