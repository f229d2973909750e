import { Later } from '../later/later';

/** What is needed to drag with the pointer; by keyboard and menu everything can be done without it. */
export const drag = new Later(() => import('./index'));
