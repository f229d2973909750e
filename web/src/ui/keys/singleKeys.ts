// Whether single keys do something on this device.
import { drawer } from '../drawer';

const place = drawer('keys.single');

/** Whether single keys do something on this device. Who dictates, or leans on the keyboard, switches them off. */
export function singleKeysWork(): boolean {
  return place.load() !== 'off';
}

export function setSingleKeys(work: boolean): void {
  if (work) place.clear();
  else place.save('off');
}
