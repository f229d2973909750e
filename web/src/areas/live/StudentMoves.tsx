import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import * as m from '#messages';
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
          {m.round_help({ key: help })}
        </Button>
      )}
      {student.aside !== null && (
        <Button className="mb-1" onClick={press(command('putBack', { students }))}>
          {m.round_putBack()}
        </Button>
      )}
      <div role="group" aria-label={m.round_aside()} className="flex flex-col items-start">
        {rooms.map((room) => (
          <Button key={room.id} look="quiet" onClick={press(command('takeAside', { students, place: room.id }))}>
            {m.round_toRoom({ room: room.name })}
          </Button>
        ))}
        {student.aside !== 'main' && (
          <Button look="quiet" onClick={press(command('takeAside', { students, place: 'main' }))}>
            {m.round_toMain()}
          </Button>
        )}
      </div>
    </div>
  );
}
