import { useState } from 'react';
import * as m from '#messages';
import { Field } from '../../../ui/fields/Field';
import type { FillProps } from './FillProps';
import { keptNumber } from './numberValue';

/** A number from everybody; below it the others’. */
export default function NumberSlot({ block, value, onChange, others = [] }: FillProps) {
  /** As it is typed, while it is typed: another form of the same number would jump under the hand. */
  const [typed, setTyped] = useState<string | null>(null);
  const isWrong = typed !== null && keptNumber(typed) === null;
  return (
    <>
      {onChange !== null ? (
        <Field
          label={m.copy_yourNumber()}
          aria-description={block.text}
          className="max-w-48"
          inputMode="decimal"
          autoComplete="off"
          maxLength={30}
          value={typed ?? value}
          error={isWrong ? m.copy_notANumber() : undefined}
          onChange={(event) => {
            setTyped(event.target.value);
            const kept = keptNumber(event.target.value);
            if (kept !== null) onChange(kept);
          }}
          onBlur={() => !isWrong && setTyped(null)}
        />
      ) : (
        value !== '' && <p className="font-semibold">{value}</p>
      )}
      {others.length > 0 && (
        <ul className="mt-2 flex flex-wrap gap-x-4 gap-y-1">
          {others.map((other) => (
            <li key={other.name}>
              {other.name} <span className="font-semibold">{other.value}</span>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
