import { useQueryClient } from '@tanstack/react-query';
import { createContext, useContext, useState, type ReactNode } from 'react';
import type { Schema } from '../../api/client';
import { isProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Sheet } from '../../ui/slips/Sheet';
import * as m from '#messages';
import { titleBeside } from '../lesson/titleBeside';

/** What is done once the teacher has said that the class may leave the lesson it is in. */
type Go = (leaving: string) => void;

const AskContext = createContext<(go: Go) => void>(() => undefined);

/** Whether the server refused because another lesson of the class is on. */
export const isOtherLessonOn = (error: unknown): boolean =>
  isProblem(error, 409) && error.field('leaving') !== undefined;

export const useAskToLeave = () => useContext(AskContext);

/** Asks before a class is taken out of a lesson that is on, and says what will happen to whom. */
export function LeaveOther({ lesson, children }: { lesson: Schema['LessonView']; children: ReactNode }) {
  const queries = useQueryClient();
  const [go, setGo] = useState<Go | null>(null);
  const { other } = lesson;
  const title = other === null ? '' : titleBeside(other, [lesson]);
  const ask = (what: Go) => {
    setGo(() => what);
    void queries.invalidateQueries({ queryKey: ['lesson', lesson.id] });
  };
  const close = () => setGo(null);
  return (
    <AskContext value={ask}>
      {children}
      {other !== null && (
        <Sheet open={go !== null} onClose={close} title={m.round_other_title({ lesson: title })}>
          <p>
            {other.students > 0
              ? m.round_other_what({ lesson: title, students: other.students, groups: other.groups })
              : m.round_other_whatClass({ lesson: title, className: lesson.className })}
          </p>
          {lesson.round.lookSeconds > 0 && (
            <p className="mt-2 text-soft">{m.round_other_canCancel({ seconds: lesson.round.lookSeconds })}</p>
          )}
          <div className="mt-5 flex flex-wrap gap-3">
            <Button onClick={close}>{m.round_other_stay({ lesson: title })}</Button>
            <Button
              onClick={() => {
                go?.(other.id);
                close();
              }}
            >
              {m.round_other_leave({ lesson: title })}
            </Button>
          </div>
        </Sheet>
      )}
    </AskContext>
  );
}
