import { useState } from 'react';
import { Beside } from '../../../ui/slips/Beside';
import { Button } from '../../../ui/Button';
import { Field } from '../../../ui/fields/Field';
import * as m from '#messages';

/** One value for many: for everybody shown, or for those who have none yet. */
export function FillColumn({
  column,
  at,
  all,
  without,
  onFill,
  onClose,
}: {
  column: string;
  at: DOMRect;
  /** How many are shown, and how many of them have nothing in this column. */
  all: number;
  without: number;
  onFill: (value: string, onlyEmpty: boolean) => void;
  onClose: () => void;
}) {
  const [value, setValue] = useState('');
  const fill = (onlyEmpty: boolean) => {
    onFill(value.trim(), onlyEmpty);
    onClose();
  };
  return (
    <Beside at={at} title={m.roster_fillTitle({ column })} onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (value.trim() !== '') fill(without > 0);
        }}
      >
        <Field
          label={m.roster_fillValue()}
          hint={m.roster_fillHint()}
          value={value}
          maxLength={60}
          onChange={(event) => setValue(event.target.value)}
        />
        <div className="mt-3 flex flex-col items-start gap-1.5">
          {without > 0 && without < all && (
            <Button type="submit" disabled={value.trim() === ''}>
              {m.roster_fillEmpty({ n: without })}
            </Button>
          )}
          <Button
            type={without > 0 && without < all ? 'button' : 'submit'}
            disabled={value.trim() === ''}
            onClick={() => fill(false)}
          >
            {m.roster_fillAll({ n: all })}
          </Button>
        </div>
      </form>
    </Beside>
  );
}
