import { drawer } from '../../../ui/drawer';
import { blocksOf, type Copy } from '../blocks';

/** Where what is not saved yet of one place lies on this device. */
export const slotDrawer = (copyId: string, slot: string, owner: string) => drawer(`slot.${copyId}.${slot}.${owner}`);

function unsaved(copyId: string, slot: string, owner: string): string | null {
  try {
    const kept = JSON.parse(slotDrawer(copyId, slot, owner).load() ?? 'null') as { text?: unknown } | null;
    return typeof kept?.text === 'string' ? kept.text : null;
  } catch {
    return null;
  }
}

/** What a student has written on a copy themselves, and what they were writing together when they left. */
export function keptTexts(copy: Copy, me: string): string[] {
  return blocksOf(copy.pages)
    .filter((block) => block.kind === 'each' || block.kind === 'together')
    .map((block) => {
      const own = block.kind === 'each';
      const saved = own ? copy.answers.find((one) => one.slot === block.id && one.owner === me)?.text : undefined;
      return unsaved(copy.id, block.id, own ? me : copy.id) ?? saved ?? '';
    })
    .filter((text) => text.trim() !== '');
}
