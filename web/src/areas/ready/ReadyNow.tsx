import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { words } from '../../words';
import { readyWords } from '../../words/ready';

type Finding = Schema['FindingView'];

/** The one answer, to be read from across the room: ready or not, and why. */
export function ReadyNow({ stops }: { stops: Finding[] }) {
  const [first, ...more] = stops;
  return (
    <div
      role="status"
      className={first === undefined ? 'border-2 border-ink bg-wash px-3 py-2' : 'border-l-8 border-ink pl-3'}
    >
      <p className="font-head text-3xl leading-tight font-bold">
        {first === undefined ? words.next.readyNow : words.next.notReady}
      </p>
      <p className="text-lg leading-snug wrap-anywhere">
        {first === undefined ? words.next.ready : readyWords.inRounds(first.rounds) + first.says}
      </p>
      {more.length > 0 && <p className="text-sm text-soft">{words.next.andMore(more.length)}</p>}
    </div>
  );
}

/** What comes after that, and what stops nothing, each with its press. */
export function WorthALook({
  findings,
  main,
  onMend,
  onOther,
}: {
  findings: Finding[];
  /** What the main press mends: the same press does not stand on the page twice. */
  main: Finding | undefined;
  onMend: (finding: Finding) => void;
  onOther: (finding: Finding) => void;
}) {
  if (findings.length === 0) return null;
  const title = findings.some((finding) => finding.weight === 'stop') ? words.next.afterThat : words.next.look;
  return (
    <section aria-label={title}>
      <h2 className="text-sm font-semibold text-soft">{title}</h2>
      <ul>
        {findings.map((finding, i) => (
          <li key={`${finding.check}${i}`} className="border-b border-line py-1.5 last:border-0">
            <span className={`block wrap-anywhere ${finding.weight === 'stop' ? 'font-semibold' : ''}`}>
              {readyWords.inRounds(finding.rounds)}
              {finding.says}
            </span>
            {finding.mend !== 'wait' && !(finding.mend === main?.mend && finding.subject === main.subject) && (
              <Button look="quiet" className="text-sm" onClick={() => onMend(finding)}>
                {finding.press}
              </Button>
            )}
            {finding.other !== null && finding.otherPress !== null && (
              <Button look="quiet" className="text-sm" onClick={() => onOther(finding)}>
                {finding.otherPress}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
