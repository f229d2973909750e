// What everybody sees, on the teacher's page: a press on a word, a card or a row points at it.
import type { Schema } from '../../api/client';
import * as m from '#messages';
import { Shown } from './shown/Shown';
import { useEditShown } from './useDebrief';

export function ShownOnTeacher({ lesson, shown }: { lesson: string; shown: Schema['ShownView'] }) {
  const edit = useEditShown(lesson);
  return (
    <section aria-label={m.debrief_onScreens()} className="mb-5 border-2 border-ink bg-ground p-4">
      <p className="mb-3 text-sm text-soft">{m.debrief_pointHint()}</p>
      <Shown
        shown={shown}
        mediaAt={(id) => `/api/staff/media/${id}`}
        onPoint={(position, pointer) => edit.mutate({ position, pointer })}
      />
    </section>
  );
}
