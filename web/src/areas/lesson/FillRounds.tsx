import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema } from '../../api/client';
import { isProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { useMessages } from '../../ui/messages';
import { Sheet } from '../../ui/Sheet';
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

function Form({ lesson, onClose }: { lesson: Schema['LessonView']; onClose: () => void }) {
  const queries = useQueryClient();
  const { say } = useMessages();
  const [way, setWay] = useState<Way>('rotation');
  const [rounds, setRounds] = useState('3');
  const [size, setSize] = useState(String(usual(lesson, 'rotation')));
  const [topics, setTopics] = useState('');
  const two = way === 'split' || way === 'jigsaw';
  const count = two ? 2 : Math.round(Number(rounds)) || 0;
  const fill = useMutation({
    mutationFn: () =>
      take(
        api.POST('/api/staff/lessons/{id}/rounds', {
          params: { path: { id: lesson.id } },
          body: {
            basedOn: lesson.order.step,
            way,
            rounds: count,
            size: Math.round(Number(size)) || 0,
            topics: way === 'jigsaw' ? topics.split('\n').filter((topic) => topic.trim() !== '') : [],
          },
        }),
      ),
    onSuccess: async () => {
      onClose();
      say(m.order_filled({ n: count }));
      await Promise.all([
        queries.invalidateQueries({ queryKey: ['lesson', lesson.id] }),
        queries.invalidateQueries({ queryKey: ['groupings', lesson.classId] }),
      ]);
    },
  });
  const problem = isProblem(fill.error) ? fill.error : undefined;
  return (
    <form
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        fill.mutate();
      }}
    >
      <Choice
        label={m.order_fillWay()}
        value={way}
        options={ways.map((one) => ({ value: one, label: m.order_fillWays({ key: one }) }))}
        onChange={(one) => {
          setWay(one);
          setSize(String(usual(lesson, one)));
        }}
      />
      <div className="flex gap-4">
        {!two && (
          <Field
            label={m.order_fillRounds()}
            type="number"
            min={2}
            max={12}
            value={rounds}
            error={problem?.field('rounds')}
            onChange={(event) => setRounds(event.target.value)}
          />
        )}
        {way !== 'same' && (
          <Field
            label={m.order_fillSize()}
            type="number"
            min={2}
            max={20}
            value={size}
            error={problem?.field('size')}
            onChange={(event) => setSize(event.target.value)}
          />
        )}
      </div>
      {way === 'jigsaw' && (
        <label className="block text-sm font-semibold">
          {m.order_fillTopics()}
          <textarea
            rows={4}
            value={topics}
            onChange={(event) => setTopics(event.target.value)}
            className="mt-1 w-full border border-ink bg-sheet px-2 py-1.5 font-normal"
          />
        </label>
      )}
      <p className="text-sm text-soft">{m.order_fillHint()}</p>
      {problem !== undefined && problem.field('rounds') === undefined && problem.field('size') === undefined && (
        <p role="alert" className="font-semibold text-lost">
          {problem.message}
        </p>
      )}
      <Button look="main" type="submit" className="w-full" busy={fill.isPending}>
        {m.order_fillDo({ n: count })}
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
