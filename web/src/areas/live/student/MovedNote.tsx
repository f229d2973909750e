import { useState } from 'react';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import type { Moved } from './useMoved';

/** The student was given another seat while a worksheet was open: where to go, and what they wrote there. */
export default function MovedNote({
  moved,
  group,
  onGo,
}: {
  moved: Moved;
  group: Schema['MyGroup'];
  onGo: () => void;
}) {
  const [copied, setCopied] = useState(false);
  const text = moved.texts.join('\n\n');
  return (
    <div role="alert" className="flex flex-col gap-4">
      <p className="text-lg">{m.elsewhere_movedLead()}</p>
      <h1 className="text-4xl leading-tight font-bold text-balance wrap-anywhere">
        {m.elsewhere_moved({ group: group.name })}
      </h1>
      <Button look="main" className="w-full py-4 text-xl" onClick={onGo}>
        {m.elsewhere_movedGo({ group: group.name })}
      </Button>
      {text !== '' && (
        <section className="border-s-4 border-ink ps-3">
          <h2 className="font-sans text-sm font-semibold text-soft">{m.elsewhere_movedText()}</h2>
          <p className="mt-1 whitespace-pre-wrap wrap-anywhere">{text}</p>
          <Button
            look="quiet"
            onClick={() =>
              void navigator.clipboard.writeText(text).then(
                () => setCopied(true),
                () => undefined,
              )
            }
          >
            {copied ? m.elsewhere_movedCopied() : m.elsewhere_movedCopy()}
          </Button>
        </section>
      )}
    </div>
  );
}
