import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import * as m from '#messages';
import { list } from '../../words/list';

/** Which rounds a finding is about; none: all of them. */
const inRounds = (rounds: number[]) =>
  rounds.length === 0 ? '' : m.setUp_inRounds({ n: rounds.length, rounds: list(rounds.map(String)) });

type Finding = Schema['FindingView'];

/** The one answer, to be read from across the room: ready or not, and why. */
export function ReadyNow({ stops }: { stops: Finding[] }) {
  const [first, ...more] = stops;
  return (
    <div
      role="status"
      className={first === undefined ? 'border-2 border-ink bg-wash px-3 py-2' : 'border-s-8 border-ink ps-3'}
    >
      <p className="font-head text-3xl leading-tight font-bold">
        {first === undefined ? m.next_readyNow() : m.next_notReady()}
      </p>
      <p className="text-lg leading-snug wrap-anywhere">
        {first === undefined ? m.next_ready() : inRounds(first.rounds) + first.says}
      </p>
      {more.length > 0 && <p className="text-sm text-soft">{m.next_andMore({ n: more.length })}</p>}
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
  const title = findings.some((finding) => finding.weight === 'stop') ? m.next_afterThat() : m.next_look();
  return (
    <section aria-label={title}>
      <h2 className="text-sm font-semibold text-soft">{title}</h2>
      <ul>
        {findings.map((finding, i) => (
          <li key={`${finding.check}${i}`} className="border-b border-line py-1.5 last:border-0">
            <span className={`block wrap-anywhere ${finding.weight === 'stop' ? 'font-semibold' : ''}`}>
              {inRounds(finding.rounds)}
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
