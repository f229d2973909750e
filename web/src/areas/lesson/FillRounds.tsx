// Fills a lesson with several rounds at once.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema } from '../../api/client';
import { isProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/fields/Choice';
import { Field } from '../../ui/fields/Field';
import { useMessages } from '../../ui/page/messages';
import { Sheet } from '../../ui/slips/Sheet';
import * as m from '#messages';

type Way = Schema['FillWay'];

const ways: Way[] = ['rotation', 'same', 'split', 'snowball', 'jigsaw'];
const usualSize: Record<Way, number> = { rotation: 4, same: 4, split: 2, snowball: 2, jigsaw: 4 };

/** As many as sit at a table now, where that says something of the way. */
function usual(lesson: Schema['LessonView'], way: Way): number {
  const { groups } = lesson.floor;
  const seated = groups.reduce((sum, group) => sum + group.students.length, 0);
  return seated === 0 || usualSize[way] < 4 ? usualSize[way] : Math.max(2, Math.round(seated / groups.length));
}

interface Draft {
  way: Way;
  rounds: string;
  size: string;
  topics: string;
}

/** Two ways have two rounds by their nature. */
const isTwo = (way: Way) => way === 'split' || way === 'jigsaw';
const roundsOf = ({ way, rounds }: Draft) => (isTwo(way) ? 2 : Math.round(Number(rounds)) || 0);

function useFill(lesson: Schema['LessonView'], onClose: () => void) {
  const queries = useQueryClient();
  const { say } = useMessages();
  return useMutation({
    mutationFn: (draft: Draft) =>
      take(
        api.POST('/api/staff/lessons/{id}/rounds', {
          params: { path: { id: lesson.id } },
          body: {
            basedOn: lesson.order.step,
            way: draft.way,
            rounds: roundsOf(draft),
            size: Math.round(Number(draft.size)) || 0,
            topics: draft.way === 'jigsaw' ? draft.topics.split('\n').filter((topic) => topic.trim() !== '') : [],
          },
        }),
      ),
    onSuccess: async (_, draft) => {
      onClose();
      say(m.order_filled({ n: roundsOf(draft) }));
      await Promise.all([
        queries.invalidateQueries({ queryKey: ['lesson', lesson.id] }),
        queries.invalidateQueries({ queryKey: ['groupings', lesson.classId] }),
      ]);
    },
  });
}

type Change = (change: Partial<Draft>) => void;

/** How many rounds, and how many sit together. */
function Numbers({
  draft: { way, rounds, size },
  errorOf,
  onChange,
}: {
  draft: Draft;
  errorOf: (field: string) => string | undefined;
  onChange: Change;
}) {
  return (
    <div className="flex gap-4">
      {!isTwo(way) && (
        <Field
          label={m.order_fillRounds()}
          type="number"
          min={2}
          max={12}
          value={rounds}
          error={errorOf('rounds')}
          onChange={(event) => onChange({ rounds: event.target.value })}
        />
      )}
      {way !== 'same' && (
        <Field
          label={m.order_fillSize()}
          type="number"
          min={2}
          max={20}
          value={size}
          error={errorOf('size')}
          onChange={(event) => onChange({ size: event.target.value })}
        />
      )}
    </div>
  );
}

function Topics({ topics, onChange }: { topics: string; onChange: Change }) {
  return (
    <label className="block text-sm font-semibold">
      {m.order_fillTopics()}
      <textarea
        rows={4}
        value={topics}
        onChange={(event) => onChange({ topics: event.target.value })}
        className="mt-1 w-full border border-ink bg-sheet px-2 py-1.5 font-normal"
      />
    </label>
  );
}

function Form({ lesson, onClose }: { lesson: Schema['LessonView']; onClose: () => void }) {
  const [draft, setDraft] = useState<Draft>({
    way: 'rotation',
    rounds: '3',
    size: String(usual(lesson, 'rotation')),
    topics: '',
  });
  const change: Change = (some) => setDraft({ ...draft, ...some });
  const fill = useFill(lesson, onClose);
  const problem = isProblem(fill.error) ? fill.error : undefined;
  const errorOf = (field: string) => problem?.field(field);
  return (
    <form
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        fill.mutate(draft);
      }}
    >
      <Choice
        label={m.order_fillWay()}
        value={draft.way}
        options={ways.map((one) => ({ value: one, label: m.order_fillWays({ key: one }) }))}
        onChange={(way) => change({ way, size: String(usual(lesson, way)) })}
      />
      <Numbers draft={draft} errorOf={errorOf} onChange={change} />
      {draft.way === 'jigsaw' && <Topics topics={draft.topics} onChange={change} />}
      <p className="text-sm text-soft">{m.order_fillHint()}</p>
      {problem !== undefined && errorOf('rounds') === undefined && errorOf('size') === undefined && (
        <p role="alert" className="font-semibold text-lost">
          {problem.message}
        </p>
      )}
      <Button look="main" type="submit" className="w-full" busy={fill.isPending}>
        {m.order_fillDo({ n: roundsOf(draft) })}
      </Button>
    </form>
  );
}

/** Several rounds whose groups hang together, in one press. */
export function FillRounds({
  lesson,
  open,
  onClose,
}: {
  lesson: Schema['LessonView'];
  open: boolean;
  onClose: () => void;
}) {
  return (
    <Sheet open={open} onClose={onClose} title={m.order_fill()}>
      <Form lesson={lesson} onClose={onClose} />
    </Sheet>
  );
}
