import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { newBlock, type BlockKind } from '../blocks';
import { isAlone, isSlot, kinds } from './rules';

interface Case {
  kind: BlockKind;
  isSlot: boolean;
  /** Without and with `settings.alone`. */
  isAlone: [boolean, boolean];
}

const file = fileURLToPath(new URL('../../../../../core/tests/Materials/Slot/kinds.json', import.meta.url));
const cases = JSON.parse(readFileSync(file, 'utf8')) as Case[];

describe('kinds of blocks', () => {
  it.each(cases)('$kind is what the server takes it for', (known) => {
    const block = newBlock(known.kind, {});
    const alone = (is: boolean) => isAlone({ ...block, settings: { ...block.settings, alone: is } });
    expect({ kind: known.kind, isSlot: isSlot(block), isAlone: [alone(false), alone(true)] }).toEqual(known);
  });

  it('are all offered', () => {
    expect(cases.map(({ kind }) => kind).sort()).toEqual([...kinds].sort());
  });
});
