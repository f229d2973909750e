import * as m from '#messages';
import type { Block } from '../blocks';
import { things } from '../things';

/**
 * What a group has done in a slot that holds things, in a few words.
 *
 * @param share how much of it is done, 0 to 1
 */
export function inShort(block: Block, value: string, share: number): string {
  switch (block.kind) {
    case 'ownPictures':
      return m.work_pictures({ n: Object.keys(things(value)).length });
    case 'markUp':
      return m.work_doneMarks({ marks: Object.keys(things(value)).length });
    default:
      return m.work_done({ percent: Math.round(100 * share) });
  }
}
