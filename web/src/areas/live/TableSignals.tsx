import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import * as m from '#messages';

type Signal = Schema['GroupSignalView'];
const marks: Schema['ChalkMark'][] = ['seen', 'wellDone', 'listening', 'hurry'];

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
      <Button onClick={onVisit}>{m.round_goTo({ group: name })}</Button>
      {waiting !== undefined && (
        <div className="flex flex-col items-start gap-1 border-l-8 border-ink pl-3">
          <p className="font-semibold">{waiting.text}</p>
          <Button onClick={waiting.onOpen}>{m.round_waits_open()}</Button>
          {waiting.leads.map((one) => (
            <Button key={one.id} look="quiet" className="text-sm" onClick={() => waiting.onLead(one.id)}>
              {m.round_waits_lead({ name: one.name })}
            </Button>
          ))}
        </div>
      )}
      {heard !== undefined && (
        <Button aria-pressed={heard} className={heard ? 'bg-accent text-on-accent' : ''} onClick={onListen}>
          {heard ? m.round_heard() : m.round_listen()}
        </Button>
      )}
      {signal.call !== null &&
        (signal.call.seenAt === null ? (
          <Button onClick={onSee}>{m.round_see()}</Button>
        ) : (
          <p className="text-sm text-soft">{m.round_seen()}</p>
        ))}
      <div role="group" aria-label={m.round_mark()} className="flex flex-wrap gap-1">
        {marks.map((mark) => (
          <Button
            key={mark}
            className={signal.mark === mark ? 'bg-accent text-sm text-on-accent' : 'text-sm'}
            aria-pressed={signal.mark === mark}
            onClick={() => onMark(signal.mark === mark ? null : mark)}
          >
            {m.round_marks({ key: mark })}
          </Button>
        ))}
      </div>
      <div className="flex flex-col items-start">
        <Button look="quiet" onClick={onCallBack}>
          {m.round_callGroup({ name })}
        </Button>
        {onSplit !== undefined && (
          <Button look="quiet" onClick={onSplit}>
            {m.round_split()}
          </Button>
        )}
        {onMerge !== undefined && (
          <Button look="quiet" onClick={onMerge}>
            {m.round_merge()}
          </Button>
        )}
      </div>
    </div>
  );
}
