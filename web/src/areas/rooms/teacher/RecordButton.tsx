// Begins and ends the recording of the room a teacher is in.
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { RecordedNote } from '../own/RecordedNote';
import { useRecordings } from './useRecordings';

export function RecordButton({ lesson, place }: { lesson: string; place: string }) {
  const { days, all, set } = useRecordings(lesson);
  const isOn = all.some((one) => one.place === place && one.state === 'running');
  if (days === 0 && !isOn) return null;
  return (
    <>
      {isOn && <RecordedNote />}
      <Button look="quiet" busy={set.isPending} onClick={() => set.mutate({ place, on: !isOn })}>
        {isOn ? m.room_recordStop() : m.room_record()}
      </Button>
    </>
  );
}
