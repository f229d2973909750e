import { things, without, written } from '../things';
import type { FillProps } from './FillProps';
import { list } from '../../../words/list';
import * as m from '#messages';

/** Lines to tick. */
export default function Ticks({ block, value, onChange, others = [] }: FillProps) {
  const ticked = things<true>(value);
  return (
    <ul className="space-y-1">
      {block.settings.items.map((line) => {
        const on = ticked[line.id] === true;
        const also = others.filter((one) => things<true>(one.value)[line.id] === true).map((one) => one.name);
        return (
          <li key={line.id}>
            <label className="flex min-h-9 items-start gap-3 py-1">
              <input
                type="checkbox"
                className="mt-0.5 size-6 shrink-0 accent-(--ink)"
                checked={on}
                disabled={onChange === null}
                onChange={() => onChange?.(written(on ? without(ticked, line.id) : { ...ticked, [line.id]: true }))}
              />
              <span className="min-w-0 wrap-anywhere">{line.text}</span>
            </label>
            {also.length > 0 && (
              <p className="ps-9 text-sm text-soft" title={list(also)}>
                {m.copy_alsoTicked({ n: also.length, names: list(also) })}
              </p>
            )}
          </li>
        );
      })}
    </ul>
  );
}
