import { Choice } from '../../ui/fields/Choice';
import * as m from '#messages';
import type { useLens } from './lens';

/** What stands under each name on the floor. */
export function LensChoice({ lens, className = '' }: { lens: ReturnType<typeof useLens>; className?: string }) {
  if (lens.lenses.length < 2) return null;
  return (
    <span className={`flex items-center gap-2 text-sm text-soft ${className}`}>
      <span aria-hidden="true" className="whitespace-nowrap">
        {m.floor_lens()}
      </span>
      <Choice
        hidden
        label={m.floor_lens()}
        className="w-24"
        value={lens.lens}
        options={lens.lenses}
        onChange={lens.setLens}
      />
    </span>
  );
}
