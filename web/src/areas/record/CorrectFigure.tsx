// A figure of a student, corrected by hand: what was computed stays beside it.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take } from '../../api/client';
import { isProblem, problemText } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/fields/Field';
import { Sheet } from '../../ui/slips/Sheet';
import * as m from '#messages';
import { figureText, typedFigure, type Correction, type Figure, type StudentRecord } from './figures';

function useCorrect(lesson: string, student: string, figure: Figure, onDone: () => void) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (value: number | null) =>
      take(
        api.PUT('/api/staff/lessons/{id}/record/figures', {
          params: { path: { id: lesson } },
          body: { student, figure, value },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['record', lesson] });
      onDone();
    },
  });
}

export function CorrectFigure({
  lesson,
  student,
  figure,
  title,
  correction,
  onClose,
}: {
  lesson: string;
  student: StudentRecord;
  figure: Figure;
  title: string;
  correction: Correction | null;
  onClose: () => void;
}) {
  const computed = student[figure];
  const [draft, setDraft] = useState(figureText(figure, correction?.value ?? computed));
  const correct = useCorrect(lesson, student.student, figure, onClose);
  const value = typedFigure(figure, draft);
  const problem = isProblem(correct.error) ? correct.error.field('value') : undefined;
  return (
    <Sheet open onClose={onClose} title={student.name}>
      <form
        className="space-y-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (value !== null) correct.mutate(value);
        }}
      >
        <Field
          label={title}
          inputMode="decimal"
          value={draft}
          hint={m.record_computed({ value: figureText(figure, computed) })}
          error={problem ?? (correct.isError ? problemText(correct.error) : undefined)}
          onChange={(event) => setDraft(event.target.value)}
        />
        <div className="flex flex-wrap gap-3">
          <Button type="submit" look="main" disabled={value === null} busy={correct.isPending}>
            {m.record_saveFigure()}
          </Button>
          {correction !== null && (
            <Button onClick={() => correct.mutate(null)} busy={correct.isPending}>
              {m.record_useComputed()}
            </Button>
          )}
        </div>
      </form>
    </Sheet>
  );
}
