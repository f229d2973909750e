import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { liveWords } from '../../words/live';

type Signal = Schema['GroupSignalView'];
const marks = Object.keys(liveWords.marks) as Schema['ChalkMark'][];

/** What can be done with a table while its group is at work: go there, let them know, put a mark on it. */
export function TableSignals({
  name,
  signal,
  onVisit,
  onSee,
  onMark,
  heard,
  onListen,
  onCallBack,
  onSplit,
  onMerge,
  waiting,
}: {
  name: string;
  signal: Signal;
  onVisit: () => void;
  onSee: () => void;
  onMark: (mark: Schema['ChalkMark'] | null) => void;
  /** Whether its room is heard; undefined where it cannot be. */
  heard: boolean | undefined;
  onListen: () => void;
  onCallBack: () => void;
  /** Undefined where it cannot be. */
  onSplit: (() => void) | undefined;
  onMerge: (() => void) | undefined;
  /** What helps a group that waits for its room to be opened; undefined where none does. */
  waiting?:
    | { text: string; onOpen: () => void; leads: { id: string; name: string }[]; onLead: (id: string) => void }
    | undefined;
}) {
  return (
    <div className="mb-3 flex flex-col gap-2 border-b border-line pb-3">
      <Button onClick={onVisit}>{liveWords.goTo(name)}</Button>
      {waiting !== undefined && (
        <div className="flex flex-col items-start gap-1 border-l-8 border-ink pl-3">
          <p className="font-semibold">{waiting.text}</p>
          <Button onClick={waiting.onOpen}>{liveWords.waits.open}</Button>
          {waiting.leads.map((one) => (
            <Button key={one.id} look="quiet" className="text-sm" onClick={() => waiting.onLead(one.id)}>
              {liveWords.waits.lead(one.name)}
            </Button>
          ))}
        </div>
      )}
      {heard !== undefined && (
        <Button aria-pressed={heard} className={heard ? 'bg-accent text-on-accent' : ''} onClick={onListen}>
          {heard ? liveWords.heard : liveWords.listen}
        </Button>
      )}
      {signal.call !== null &&
        (signal.call.seenAt === null ? (
          <Button onClick={onSee}>{liveWords.see}</Button>
        ) : (
          <p className="text-sm text-soft">{liveWords.seen}</p>
        ))}
      <div role="group" aria-label={liveWords.mark} className="flex flex-wrap gap-1">
        {marks.map((mark) => (
          <Button
            key={mark}
            className={signal.mark === mark ? 'bg-accent text-sm text-on-accent' : 'text-sm'}
            aria-pressed={signal.mark === mark}
            onClick={() => onMark(signal.mark === mark ? null : mark)}
          >
            {liveWords.marks[mark]}
          </Button>
        ))}
      </div>
      <div className="flex flex-col items-start">
        <Button look="quiet" onClick={onCallBack}>
          {liveWords.callGroup(name)}
        </Button>
        {onSplit !== undefined && (
          <Button look="quiet" onClick={onSplit}>
            {liveWords.split}
          </Button>
        )}
        {onMerge !== undefined && (
          <Button look="quiet" onClick={onMerge}>
            {liveWords.merge}
          </Button>
        )}
      </div>
    </div>
  );
}
