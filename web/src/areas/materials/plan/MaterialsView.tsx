import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Sheet } from '../../../ui/slips/Sheet';
import * as m from '#messages';
import { BringChanges } from './BringChanges';
import { CupboardList } from '../cupboard/CupboardList';
import { HandOutGrid, PlanActions, usePlan } from './HandOutGrid';
import { OriginalEditor } from '../edit/OriginalEditor';
import { useNewOriginal } from '../edit/useNewOriginal';

/** What a round hands out: who gets what, and the original that is being written. */
export default function MaterialsView({
  lesson,
  first,
}: {
  lesson: Schema['LessonView'];
  /** The worksheet that is shown at first; null: the first of the plan. */
  first: string | null;
}) {
  const queries = useQueryClient();
  const [asked, setAsked] = useState<string | null>(first);
  const [choosing, setChoosing] = useState(false);
  const plan = usePlan(lesson);
  const add = useNewOriginal(lesson, setAsked);
  const shown = lesson.handOut.find((row) => row.original === asked)?.original ?? lesson.handOut[0]?.original ?? null;
  const here = new Set(lesson.handOut.map((row) => row.original));
  return (
    <div className="floor-paper flex-1 overflow-y-auto">
      <div className="border-b border-line bg-sheet pb-3">
        {lesson.handOut.length > 0 && <HandOutGrid lesson={lesson} shown={shown} onShow={setAsked} />}
        <div className="flex flex-wrap items-center gap-4 px-5 pt-3">
          {lesson.handOut.length === 0 && <p className="text-soft">{m.original_lead()}</p>}
          <PlanActions busy={add.isPending} onNew={() => add.mutate()} onTake={() => setChoosing(true)} />
          {lesson.handOut.some((row) => row.outdated > 0) && <BringChanges lesson={lesson} />}
        </div>
      </div>
      {shown !== null && (
        <OriginalEditor
          key={shown}
          id={shown}
          onSaved={() => void queries.invalidateQueries({ queryKey: ['lesson', lesson.id] })}
        />
      )}
      <Sheet open={choosing} onClose={() => setChoosing(false)} title={m.edit_chooseOne()} wide="page">
        <CupboardList archived={false}>
          {(original) => (
            <Button
              disabled={here.has(original.id)}
              onClick={() => {
                plan.put([...plan.rows, { original: original.id, way: 'together' }]);
                setAsked(original.id);
                setChoosing(false);
              }}
            >
              {m.edit_open()}
            </Button>
          )}
        </CupboardList>
      </Sheet>
    </div>
  );
}
