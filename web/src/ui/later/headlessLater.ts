import { drag } from '../drag/dragLater';
import { fetchParts } from './lazily';
import { Later } from './later';

/**
 * Lists, menus, slips and sheets; none of them is open when a page is first shown. Loaded together with drag and drop:
 * if that came later, it would mount the floor again and close whatever had been opened on it.
 */
export const headless = new Later(async () => {
  const [parts] = await Promise.all([import('../headless'), drag.load()]);
  void fetchParts();
  return parts;
});
