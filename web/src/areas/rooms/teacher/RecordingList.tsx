// What was said in rooms: to be heard, kept elsewhere, or thrown away.
import { Button } from '../../../ui/Button';
import { dayText, timeText } from '../../../words/when';
import * as m from '#messages';
import { useRecordings, type Recording } from './useRecordings';

function Line({ one, onDelete, onStop }: { one: Recording; onDelete: (() => void) | null; onStop: () => void }) {
  const about = { room: one.name === '' ? m.rooms_mainSession() : one.name, time: timeText(one.startedAt) };
  const sound = `/api/staff/recordings/${one.id}/sound`;
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-2">
      <span className="min-w-48 font-semibold wrap-anywhere">
        {about.room} <span className="font-normal text-soft">{about.time}</span>
      </span>
      {one.state === 'ready' ? (
        // eslint-disable-next-line jsx-a11y/media-has-caption -- what is said is not written down
        <audio controls preload="none" src={sound} aria-label={m.rooms_recordingPlay(about)} className="h-9" />
      ) : (
        <span className={one.state === 'failed' ? 'text-lost' : 'text-soft'}>
          {m.rooms_recordingState({ key: one.state })}
        </span>
      )}
      {one.state === 'ready' && (
        <a href={sound} download className="underline decoration-line underline-offset-4 hover:decoration-ink">
          {m.rooms_recordingSave()}
        </a>
      )}
      {one.state === 'running' ? (
        <Button className="text-sm" onClick={onStop}>
          {m.room_recordStop()}
        </Button>
      ) : onDelete === null ? null : (
        <Button look="quiet" className="text-sm" aria-label={m.rooms_recordingDeleteOf(about)} onClick={onDelete}>
          {m.rooms_recordingDelete()}
        </Button>
      )}
      {one.expiresAt !== null && (
        <span className="text-sm text-soft">{m.rooms_recordingUntil({ date: dayText(one.expiresAt) })}</span>
      )}
    </li>
  );
}

export function RecordingList({ lesson }: { lesson: string }) {
  const { all, mayDelete, set, remove } = useRecordings(lesson);
  if (all.length === 0) return null;
  return (
    <section aria-label={m.rooms_recordings()} className="mt-8 max-w-4xl">
      <h2 className="text-lg font-semibold">{m.rooms_recordings()}</h2>
      <p className="text-soft">{m.rooms_recordingsLead()}</p>
      <ul className="mt-2">
        {all.map((one) => (
          <Line
            key={one.id}
            one={one}
            onDelete={mayDelete ? () => remove.mutate(one.id) : null}
            onStop={() => set.mutate({ place: one.place, on: false })}
          />
        ))}
      </ul>
    </section>
  );
}
