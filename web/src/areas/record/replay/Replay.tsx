// A lesson played again on its floor: who was where, who called, who was visited, what was filled in.
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import * as m from '#messages';
import type { RecordView } from '../figures';
import { momentOf, replayOf, type GroupMoment } from './moment';
import { ReplayBar } from './ReplayBar';
import { ReplayGroup, Students } from './ReplayGroup';
import { usePlayer } from './usePlayer';
import { WorkAt } from './WorkAt';

const [atOnce, more] = [9, 6];

/** Forty groups come out at one moment: those in sight first, the others over the next frames. */
function Groups({ groups, onOpen }: { groups: GroupMoment[]; onOpen: (group: GroupMoment) => void }) {
  const [shown, setShown] = useState(atOnce);
  useEffect(() => {
    if (shown >= groups.length) return undefined;
    const frame = requestAnimationFrame(() => setShown(shown + more));
    return () => cancelAnimationFrame(frame);
  }, [shown, groups.length]);
  return (
    <ul className="grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
      {groups.slice(0, shown).map((group) => (
        <ReplayGroup key={group.id} group={group} onOpen={onOpen} />
      ))}
    </ul>
  );
}

export default function Replay({ record, onClose }: { record: RecordView; onClose: () => void }) {
  const replay = useMemo(() => replayOf(record), [record]);
  const player = usePlayer(record.begunAt, record.until);
  const [open, setOpen] = useState<{ group: GroupMoment; at: number } | null>(null);
  const moment = momentOf(replay, player.at);
  const latest = useRef(player);
  useEffect(() => {
    latest.current = player;
  });
  // The same for every group and every frame: whose card has not changed is not drawn anew.
  const onOpen = useCallback((group: GroupMoment) => {
    latest.current.play(false);
    setOpen({ group, at: latest.current.at });
  }, []);
  return (
    <section aria-label={m.replay_title()} className="flex min-h-0 flex-1 flex-col">
      <ReplayBar record={record} player={player} onClose={onClose} />
      <div className="min-h-0 flex-1 overflow-y-auto bg-ground p-5">
        <p className="mb-3 text-soft">
          {moment.round === null
            ? m.replay_together({ key: moment.segment ?? 'other', n: moment.together })
            : m.replay_round({ number: moment.round, n: moment.together })}
          {moment.away > 0 && ` · ${m.replay_away({ n: moment.away })}`}
        </p>
        {moment.round === null && <Students students={moment.everybody} usual="main" />}
        <Groups key={moment.round} groups={moment.groups} onOpen={onOpen} />
      </div>
      {open !== null && <WorkAt lesson={record.lesson} group={open.group} at={open.at} onClose={() => setOpen(null)} />}
    </section>
  );
}
