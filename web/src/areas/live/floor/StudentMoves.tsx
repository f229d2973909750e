import type { Schema } from '../../../api/client';
import { Action, ActionSection } from '../../../ui/slips/Actions';
import * as m from '#messages';
import { command, useCommand } from '../useCommand';

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
    <ActionSection title={m.round_now()}>
      {help !== null && (
        <Action onPress={press(command('fetch', { students }))}>
          {m.round_helpOf({ key: help, name: student.name })}
        </Action>
      )}
      {student.aside !== null && <Action onPress={press(command('putBack', { students }))}>{m.round_putBack()}</Action>}
      {rooms.map((room) => (
        <Action key={room.id} onPress={press(command('takeAside', { students, place: room.id }))}>
          {m.round_toRoom({ room: room.name })}
        </Action>
      ))}
      {student.aside !== 'main' && (
        <Action onPress={press(command('takeAside', { students, place: 'main' }))}>{m.round_toMain()}</Action>
      )}
    </ActionSection>
  );
}
