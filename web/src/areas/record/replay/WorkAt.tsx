// What a group had written at one moment.
import { useQuery } from '@tanstack/react-query';
import { api, take } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Sheet } from '../../../ui/slips/Sheet';
import * as m from '#messages';
import { timeText } from '../../../words/when';
import { Shown } from '../../debrief/shown/Shown';
import type { GroupMoment } from './moment';

export function WorkAt({
  lesson,
  group,
  at,
  onClose,
}: {
  lesson: string;
  group: GroupMoment;
  at: number;
  onClose: () => void;
}) {
  const moment = Math.floor(at);
  const work = useQuery({
    queryKey: ['work-at', lesson, group.id, moment],
    queryFn: () =>
      take(
        api.GET('/api/staff/lessons/{id}/record/work/{group}/{at}', {
          params: { path: { id: lesson, group: group.id, at: String(moment) } },
        }),
      ),
  });
  return (
    <Sheet open onClose={onClose} title={m.replay_workAt({ group: group.name, time: timeText(at) })} wide>
      {work.isPending && <p className="text-soft">{m.common_loading()}</p>}
      {work.isError && <p className="font-semibold text-lost">{problemText(work.error)}</p>}
      {work.data?.pieces.length === 0 && <p className="text-soft">{m.replay_noWork()}</p>}
      {work.data !== undefined && work.data.pieces.length > 0 && (
        <Shown shown={{ by: '', frozen: true, pieces: work.data.pieces }} mediaAt={(id) => `/api/staff/media/${id}`} />
      )}
    </Sheet>
  );
}
