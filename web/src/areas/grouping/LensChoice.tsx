import { Choice } from '../../ui/Choice';
import * as m from '#messages';
import type { useLens } from './lens';

/** What stands under each name on the floor. */
export function LensChoice({
  lens,
  bare = false,
  className = '',
}: {
  lens: ReturnType<typeof useLens>;
  /** Without the words before it, where there is little room. */
  bare?: boolean;
  className?: string;
}) {
  if (lens.lenses.length < 2) return null;
  return (
    <span className={`flex items-center gap-2 text-sm text-soft ${className}`}>
      {!bare && <span aria-hidden="true">{m.floor_lens()}</span>}
      <Choice
        hidden
        label={m.floor_lens()}
        className="w-36"
        value={lens.lens}
        options={lens.lenses}
        onChange={lens.setLens}
      />
    </span>
  );
}
