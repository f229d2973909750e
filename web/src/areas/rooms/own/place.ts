// Which room of our own a student belongs in.
import type { Schema } from '../../../api/client';

/** What the main session is called among places. */
export const MAIN = 'main';

/**
 * The same as the server finds when it is asked to let them in; here by the page's own clock, which needs no line.
 *
 * @param phase of the round
 * @returns `main`, or the id of a group or a side room; null: no room of our own, or no lesson
 */
export function placeOf(now: Schema['StudentNow'], phase: string, serverNow: number): string | null {
  if (now.over || now.segment === null) return null;
  const main = now.mainSession.way === 'here' ? MAIN : null;
  if (phase !== 'out' && phase !== 'comingBack') return main;
  if (now.aside != null && now.aside.from <= serverNow) {
    if (now.aside.room == null) return main;
    return now.aside.room.way === 'here' ? now.aside.place : null;
  }
  return now.group?.room.way === 'here' ? now.group.id : null;
}
