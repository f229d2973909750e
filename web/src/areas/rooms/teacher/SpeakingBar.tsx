// Who may speak in the main session: everybody, or whoever is given the microphone.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { useMessages } from '../../../ui/page/messages';
import * as m from '#messages';

type Lesson = Schema['LessonView'];

/** Beside the people of the main session. */
export function SpeakingBar({ lesson }: { lesson: Lesson }) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const set = useMutation({
    mutationFn: (body: Schema['SaveSpeaking']) =>
      take(api.PUT('/api/staff/lessons/{id}/speaking', { params: { path: { id: lesson.id } }, body })),
    onSettled: () => queries.invalidateQueries({ queryKey: ['lesson', lesson.id] }),
    onError: fail,
  });
  const { muted, speaker, asking } = lesson.speaking;
  const nameOf = (id: string) => lesson.students.find((one) => one.id === id)?.name ?? '';
  if (!muted)
    return (
      <Button busy={set.isPending} onClick={() => set.mutate({ muted: true, speaker: null })}>
        {m.room_muteAll()}
      </Button>
    );
  return (
    <div className="flex basis-full flex-wrap items-center gap-2">
      <p role="status" className="font-semibold">
        {speaker === null ? m.room_allMuted() : m.room_speaker({ name: nameOf(speaker) })}
      </p>
      {speaker !== null && (
        <Button busy={set.isPending} onClick={() => set.mutate({ muted: true, speaker: null })}>
          {m.room_takeMicrophone()}
        </Button>
      )}
      {asking.length > 0 && (
        <ol aria-label={m.room_asking()} className="flex flex-wrap gap-2">
          {asking.map((id) => (
            <li key={id}>
              <Button busy={set.isPending} onClick={() => set.mutate({ muted: true, speaker: id })}>
                {m.room_giveTo({ name: nameOf(id) })}
              </Button>
            </li>
          ))}
        </ol>
      )}
      <Button look="quiet" busy={set.isPending} onClick={() => set.mutate({ muted: false, speaker: null })}>
        {m.room_letSpeak()}
      </Button>
    </div>
  );
}
