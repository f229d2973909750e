import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { liveWords } from '../../words/live';
import { command, useCommand } from './useCommand';

/** What can be done with a student while groups are out, besides giving them another seat. */
export function StudentMoves({
  lesson,
  student,
  onClose,
}: {
  lesson: Schema['LessonView'];
  student: Schema['SeatedStudent'];
  onClose: () => void;
}) {
  const give = useCommand(lesson.id);
  const press = (what: Parameters<typeof give.mutate>[0]) => () => {
    give.mutate(what);
    onClose();
  };
  const students = [student.id];
  const { help } = student;
  const rooms = lesson.rooms.filter((room) => room.purpose === 'side' && room.id !== student.aside);
  return (
    <div className="flex flex-col items-start">
      {help !== null && (
        <Button className="mb-1" onClick={press(command('fetch', { students }))}>
          {liveWords.help[help]}
        </Button>
      )}
      {student.aside !== null && (
        <Button className="mb-1" onClick={press(command('putBack', { students }))}>
          {liveWords.putBack}
        </Button>
      )}
      <div role="group" aria-label={liveWords.aside} className="flex flex-col items-start">
        {rooms.map((room) => (
          <Button key={room.id} look="quiet" onClick={press(command('takeAside', { students, place: room.id }))}>
            {liveWords.toRoom(room.name)}
          </Button>
        ))}
        {student.aside !== 'main' && (
          <Button look="quiet" onClick={press(command('takeAside', { students, place: 'main' }))}>
            {liveWords.toMain}
          </Button>
        )}
      </div>
    </div>
  );
}
