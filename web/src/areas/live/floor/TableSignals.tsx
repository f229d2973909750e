// What stands under a table whose group is at work, and what can be done for it.
import type { Schema } from '../../../api/client';
import { Action, ActionSection } from '../../../ui/slips/Actions';
import * as m from '#messages';

type Signal = Schema['GroupSignalView'];
const marks: Schema['ChalkMark'][] = ['seen', 'wellDone', 'listening', 'hurry'];

/** What can be done for a group at work: visit it, and tell it something without a word. */
export function TableSignals({
  name,
  signal,
  onVisit,
  onSee,
  onMark,
  heard,
  onListen,
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
  /** What helps a group that waits for its room to be opened; undefined where none does. */
  waiting?:
    | { text: string; onOpen: () => void; leads: { id: string; name: string }[]; onLead: (id: string) => void }
    | undefined;
}) {
  return (
    <>
      <ActionSection title={m.round_visitSection()}>
        <Action onPress={onVisit}>{m.round_goTo({ group: name })}</Action>
        {waiting !== undefined && (
          <>
            <p className="bg-attention px-2 py-1 font-semibold text-on-accent wrap-anywhere">{waiting.text}</p>
            <Action onPress={waiting.onOpen}>{m.round_waits_open()}</Action>
            {waiting.leads.map((one) => (
              <Action key={one.id} onPress={() => waiting.onLead(one.id)}>
                {m.round_waits_lead({ name: one.name })}
              </Action>
            ))}
          </>
        )}
        {heard !== undefined && (
          <Action pressed={heard} onPress={onListen}>
            {heard ? m.round_heard() : m.round_listen()}
          </Action>
        )}
      </ActionSection>
      <ActionSection title={m.round_mark()}>
        {signal.call !== null &&
          (signal.call.seenAt === null ? (
            <Action onPress={onSee}>{m.round_see()}</Action>
          ) : (
            <p className="px-2 text-sm text-soft">{m.round_seen()}</p>
          ))}
        {marks.map((mark) => (
          <Action key={mark} pressed={signal.mark === mark} onPress={() => onMark(signal.mark === mark ? null : mark)}>
            {m.round_marks({ key: mark })}
          </Action>
        ))}
      </ActionSection>
    </>
  );
}

/** What can be done with the group itself while it is at work. */
export function TableChanges({
  name,
  onCallBack,
  onSplit,
  onMerge,
}: {
  name: string;
  onCallBack: () => void;
  /** Undefined where it cannot be. */
  onSplit: (() => void) | undefined;
  onMerge: (() => void) | undefined;
}) {
  return (
    <>
      <Action onPress={onCallBack}>{m.round_callGroup({ name })}</Action>
      {onSplit !== undefined && <Action onPress={onSplit}>{m.round_split()}</Action>}
      {onMerge !== undefined && <Action onPress={onMerge}>{m.round_merge()}</Action>}
    </>
  );
}
