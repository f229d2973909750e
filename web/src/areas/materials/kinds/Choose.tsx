import { useId } from 'react';
import { things, without, written } from '../things';
import type { FillProps } from './FillProps';
import { list } from '../../../words/list';

/** One or some of given options; beside each, who else chose it. */
export default function Choose({ block, value, onChange, others = [] }: FillProps) {
  const name = useId();
  const { several, items } = block.settings;
  const chosen = things<true>(value);
  const most = Math.max(1, others.length + 1);
  const pick = (id: string) => {
    if (!several) onChange?.(written({ [id]: true }));
    else onChange?.(written(chosen[id] === true ? without(chosen, id) : { ...chosen, [id]: true }));
  };
  return (
    <ul className="space-y-1.5">
      {items.map((option) => {
        const on = chosen[option.id] === true;
        const who = others.filter((one) => things<true>(one.value)[option.id] === true).map((one) => one.name);
        const all = who.length + Number(on);
        return (
          <li key={option.id} className="relative border border-ink bg-sheet">
            <span
              aria-hidden="true"
              className="absolute inset-y-0 inset-s-0 bg-wash"
              style={{ width: others.length === 0 ? 0 : `${(100 * all) / most}%` }}
            />
            <label className="relative flex min-h-11 items-center gap-3 px-3 py-1.5">
              <input
                type={several ? 'checkbox' : 'radio'}
                name={name}
                className="size-5 shrink-0 accent-(--ink)"
                checked={on}
                disabled={onChange === null}
                onChange={() => pick(option.id)}
              />
              <span className="min-w-0 flex-1 wrap-anywhere">{option.text}</span>
              {who.length > 0 && <span className="max-w-[45%] text-end text-sm text-soft">{list(who)}</span>}
            </label>
          </li>
        );
      })}
    </ul>
  );
}
