// What stood in a place before, and what brings it back.
import { useState, type ReactNode } from 'react';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { timeText } from '../../../words/when';
import type { Block } from '../blocks';
import { wordDiff } from '../wordDiff';
import { Fill } from './Fill';

type Step = Schema['StepView'];

function Change({ before, step, block }: { before: string; step: Step; block: Block }) {
  if (block.kind !== 'each' && block.kind !== 'together')
    return <Fill block={block} value={step.text} onChange={null} />;
  return (
    <p className="whitespace-pre-wrap wrap-anywhere">
      {step.text === '' && <span className="text-soft">{m.copy_emptied()}</span>}
      {wordDiff(before, step.text).map((piece, i) =>
        piece.kind === 'gone' ? (
          <del key={i} className="text-soft">
            {piece.text}
          </del>
        ) : piece.kind === 'new' ? (
          <ins key={i} className="bg-wash font-semibold no-underline">
            {piece.text}
          </ins>
        ) : (
          <span key={i}>{piece.text}</span>
        ),
      )}
    </p>
  );
}

/** Who wrote, and when. */
function StepHead({ step, name, children }: { step: Step; name: string; children: ReactNode }) {
  return (
    <p className="flex flex-wrap items-baseline gap-x-3">
      <span className="font-semibold">{name}</span>
      <span className="text-soft">{timeText(step.at)}</span>
      {step.revision < 0 && <span className="text-soft">{m.copy_didNotFit()}</span>}
      {children}
    </p>
  );
}

type BringBack = ((revision: number) => Promise<unknown>) | null;

/** The steps, once they have been asked for. */
function useSteps(load: () => Promise<Step[]>, bringBack: BringBack) {
  const [steps, setSteps] = useState<Step[] | null>(null);
  const [failed, setFailed] = useState(false);
  const [busy, setBusy] = useState(false);
  const look = () => {
    setFailed(false);
    load().then(setSteps, () => setFailed(true));
  };
  const back = (revision: number) => {
    if (bringBack === null) return;
    setBusy(true);
    bringBack(revision)
      .then(look, () => setFailed(true))
      .finally(() => setBusy(false));
  };
  return { steps, setSteps, failed, busy, look, back };
}

/** What stood in a slot before, the latest first: who, when, what changed; and any of it brought back. */
export default function History({
  block,
  nameOf,
  load,
  bringBack,
}: {
  block: Block;
  nameOf: (author: string) => string;
  load: () => Promise<Step[]>;
  /** Null: it can be looked at only. */
  bringBack: BringBack;
}) {
  const { steps, setSteps, failed, busy, look, back } = useSteps(load, bringBack);
  if (steps === null)
    return (
      <Button look="quiet" className="text-sm" onClick={look}>
        {failed ? m.copy_historyAgain() : m.copy_history()}
      </Button>
    );
  return (
    <section aria-label={m.copy_history()} className="mt-2 border-2 border-ink bg-sheet p-3 text-sm">
      <div className="flex items-baseline justify-between gap-2">
        <h3 className="font-sans font-semibold">{m.copy_history()}</h3>
        <Button look="quiet" onClick={() => setSteps(null)}>
          {m.copy_historyClose()}
        </Button>
      </div>
      {failed && <p role="alert">{m.copy_historyFailed()}</p>}
      {steps.length === 0 && <p className="text-soft">{m.copy_historyNone()}</p>}
      <ol className="mt-1 space-y-3">
        {steps
          .map((step, i) => (
            <li key={`${step.revision}.${step.at}`} className="border-t border-line pt-2">
              <StepHead step={step} name={nameOf(step.author)}>
                {i === steps.length - 1 ? (
                  <span className="ms-auto text-soft">{m.copy_now()}</span>
                ) : (
                  bringBack !== null && (
                    <Button className="ms-auto" busy={busy} onClick={() => back(step.revision)}>
                      {m.copy_bringBack()}
                    </Button>
                  )
                )}
              </StepHead>
              <div className="mt-1">
                <Change before={steps[i - 1]?.text ?? ''} step={step} block={block} />
              </div>
            </li>
          ))
          .reverse()}
      </ol>
    </section>
  );
}
