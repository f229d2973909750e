import { useState } from 'react';
import * as m from '#messages';
import { setSingleKeys, singleKeysWork } from './singleKeys';
import { Sheet } from '../slips/Sheet';

/** The keys of a page, shown by `?`. */
export function KeyList({
  open,
  onClose,
  keys,
}: {
  open: boolean;
  onClose: () => void;
  keys: readonly (readonly [string, string])[];
}) {
  const [single, setSingle] = useState(singleKeysWork);
  return (
    <Sheet open={open} onClose={onClose} title={m.lesson_helpTitle()}>
      <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-5 gap-y-2">
        {keys.map(([key, what]) => (
          <div key={key} className="contents">
            <dt className="font-semibold">{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
      <label className="mt-5 flex items-start gap-2 border-t border-line pt-3">
        <input
          type="checkbox"
          className="mt-1 size-4 accent-ink"
          checked={single}
          onChange={(event) => {
            setSingleKeys(event.target.checked);
            setSingle(event.target.checked);
          }}
        />
        <span>
          {m.keys_single()}
          <span className="block text-sm text-soft">{m.keys_singleHint()}</span>
        </span>
      </label>
    </Sheet>
  );
}
