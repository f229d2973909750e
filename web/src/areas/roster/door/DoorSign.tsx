// The way into a class, to be shown or sent on.
import { Suspense, useState, type ReactNode } from 'react';
import { Button } from '../../../ui/Button';
import { useCopy } from '../../../ui/useCopy';
import { Sheet } from '../../../ui/slips/Sheet';
import * as m from '#messages';
import { lazilyFrom } from '../../../ui/later/lazily';
import { doorLink } from './doorLink';

const Code = lazilyFrom(
  () => import('../../../ui/signs/Code'),
  (file) => file.Code,
);

/** The way in, to be shown on a wall or sent on: a press on the door word opens it. */
export function DoorSign({
  doorWord,
  className = '',
  more,
}: {
  doorWord: string;
  className?: string;
  /** What else can be shown on a wall. */
  more?: ReactNode;
}) {
  const [open, setOpen] = useState(false);
  const link = doorLink(doorWord);
  const copy = useCopy();
  return (
    <>
      <button
        type="button"
        aria-label={m.door_show({ doorWord })}
        title={m.door_showHint()}
        onClick={() => setOpen(true)}
        className={`font-head font-bold text-ink underline decoration-line decoration-2 underline-offset-4 hover:decoration-ink ${className}`}
      >
        {doorWord}
      </button>
      <Sheet open={open} onClose={() => setOpen(false)} title={m.door_sign()} wide>
        <div className="grid items-center gap-8 sm:grid-cols-[20rem_minmax(0,1fr)]">
          <Suspense fallback={<span className="aspect-square" />}>
            <Code text={link} />
          </Suspense>
          <div>
            <p className="text-xl">{m.door_orType()}</p>
            <p className="text-2xl font-semibold wrap-anywhere">{location.host}/student</p>
            <p className="mt-4 text-xl">{m.door_word()}</p>
            <p className="font-head text-6xl leading-tight font-bold">{doorWord}</p>
            <Button className="mt-6 print:hidden" onClick={() => copy(link, m.door_copied())}>
              {m.door_copy()}
            </Button>
            {more}
          </div>
        </div>
      </Sheet>
    </>
  );
}
