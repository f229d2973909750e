// The floor of a lesson that is over, and the way to play it again.
import { Suspense, useState, type ReactNode } from 'react';
import { problemText } from '../../../api/problem';
import { lazily } from '../../../ui/later/lazily';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { useRecord } from '../useRecord';

const Replay = lazily(() => import('./Replay'));

function Played({ lesson, onClose }: { lesson: string; onClose: () => void }) {
  const record = useRecord(lesson);
  if (record.isPending) return <p className="p-5 text-soft">{m.common_loading()}</p>;
  if (record.isError) return <p className="p-5 font-semibold text-lost">{problemText(record.error)}</p>;
  return (
    <Suspense fallback={<p className="p-5 text-soft">{m.common_loading()}</p>}>
      <Replay record={record.data} onClose={onClose} />
    </Suspense>
  );
}

export function ReplayFloor({ lesson, children }: { lesson: string; children: ReactNode }) {
  const [isPlaying, setPlaying] = useState(false);
  if (isPlaying) return <Played lesson={lesson} onClose={() => setPlaying(false)} />;
  return (
    <>
      <div className="flex items-center gap-3 border-b border-line bg-sheet px-5 py-2">
        <Button className="font-semibold" onClick={() => setPlaying(true)}>
          {m.replay_begin()}
        </Button>
        <span className="text-sm text-soft">{m.replay_hint()}</span>
      </div>
      {children}
    </>
  );
}
