// Says what is on every screen, and takes it down.
import { Button } from '../../ui/Button';
import * as m from '#messages';
import type { Schema } from '../../api/client';
import { list } from '../../words/list';
import { useEditShown, usePutDown, type Debrief } from './useDebrief';

/** Whose work it is: the teacher knows, also where names are not shown. */
function whose(lesson: Schema['LessonView'], debrief: Debrief, copies: Schema['LessonView']['copies']): string {
  return list(
    debrief.heldUp.map((held, i) => {
      if (held.copy === null) return debrief.shown?.pieces[i]?.sum?.block.text ?? '';
      const copy = copies.find((one) => one.id === held.copy);
      const student = lesson.students.find((one) => one.id === (held.owner ?? copy?.studentId));
      const group = lesson.floor.groups.find((one) => one.id === copy?.groupId);
      return student?.name ?? group?.name ?? copy?.name ?? m.work_classCopy();
    }),
  );
}

export function ShownBar({
  lesson,
  debrief,
  shown,
}: {
  lesson: Schema['LessonView'];
  debrief: Debrief;
  shown: Schema['ShownView'];
}) {
  const edit = useEditShown(lesson.id);
  const putDown = usePutDown(lesson.id);
  return (
    <div
      role="status"
      className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-ink bg-ink px-5 py-1.5 text-sm text-ground"
    >
      <p className="min-w-0 flex-1 font-semibold wrap-anywhere">
        {m.debrief_everyoneSees({ whose: whose(lesson, debrief, lesson.copies) })}
      </p>
      <Button
        className="text-ink"
        aria-pressed={debrief.showsNames}
        onClick={() => edit.mutate({ names: !debrief.showsNames })}
      >
        {debrief.showsNames ? m.debrief_hideNames() : m.debrief_showNames()}
      </Button>
      {shown.pieces.some((piece) => piece.sum !== null) && (
        <Button
          className="text-ink"
          aria-pressed={debrief.heldUp.some((held) => held.showsRight)}
          onClick={() => edit.mutate({ right: !debrief.heldUp.some((held) => held.showsRight) })}
        >
          {debrief.heldUp.some((held) => held.showsRight) ? m.debrief_hideRight() : m.debrief_showRight()}
        </Button>
      )}
      <Button className="text-ink" aria-pressed={shown.frozen} onClick={() => edit.mutate({ frozen: !shown.frozen })}>
        {shown.frozen ? m.debrief_unfreeze() : m.debrief_freeze()}
      </Button>
      <Button className="font-semibold text-ink" busy={putDown.isPending} onClick={() => putDown.mutate()}>
        {m.debrief_stopShowing()}
      </Button>
    </div>
  );
}
