import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, freshKey, take, type Schema } from '../../api/client';
import { isPassing, isProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { useMessages } from '../../ui/messages';
import { words } from '../../words';

type Block = Schema['BlockView'];
interface Draft {
  title: string;
  blocks: Block[];
}
type Saving = 'saved' | 'saving' | 'unsaved';

const saveAfter = 700;
const tryAgainAfter = 2_000;

/** Keeps a draft of the original and saves it as it is typed; a draft that cannot be saved yet says why. */
function useOriginal(lesson: Schema['LessonView']) {
  const queries = useQueryClient();
  const [draft, setDraft] = useState<Draft>(() => ({
    title: lesson.original?.title ?? words.original.untitled,
    blocks: lesson.original?.blocks ?? [],
  }));
  const [saving, setSaving] = useState<Saving>('saved');
  const [error, setError] = useState<string>();
  const version = useRef(lesson.original?.version ?? 0);
  const latest = useRef(draft);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const running = useRef(false);
  const again = useRef(false);
  const retry = useRef<() => void>(() => undefined);
  const roundId = lesson.round.id;
  const lessonId = lesson.id;

  const save = useCallback(async () => {
    if (running.current) {
      again.current = true;
      return;
    }
    running.current = true;
    setSaving('saving');
    const sent = latest.current;
    try {
      const saved = await take(
        api.PUT('/api/staff/rounds/{id}/original', {
          params: { path: { id: roundId } },
          body: { ...sent, basedOn: version.current },
        }),
      );
      version.current = saved.version;
      setError(undefined);
      setSaving(latest.current === sent ? 'saved' : 'unsaved');
      queries.setQueryData<Schema['LessonView']>(['lesson', lessonId], (old) =>
        old === undefined ? old : { ...old, original: saved },
      );
    } catch (problem) {
      setSaving('unsaved');
      setError(isProblem(problem) ? problem.message : undefined);
      if (isPassing(problem)) timer.current = setTimeout(() => retry.current(), tryAgainAfter);
    } finally {
      running.current = false;
      if (again.current) {
        again.current = false;
        retry.current();
      }
    }
  }, [queries, lessonId, roundId]);

  useEffect(() => {
    retry.current = () => void save();
  }, [save]);

  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (latest.current !== draft || saving !== 'saved') event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [draft, saving]);

  // Leaving the page saves what is still waiting.
  useEffect(
    () => () => {
      if (timer.current !== undefined) {
        clearTimeout(timer.current);
        void save();
      }
    },
    [save],
  );

  const change = (next: Draft) => {
    latest.current = next;
    setDraft(next);
    setSaving('unsaved');
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      timer.current = undefined;
      void save();
    }, saveAfter);
  };
  return { draft, change, saving, error };
}

function BlockEditor({
  block,
  first,
  last,
  onText,
  onMove,
  onDrop,
}: {
  block: Block;
  first: boolean;
  last: boolean;
  onText: (text: string) => void;
  onMove: (by: number) => void;
  onDrop: () => void;
}) {
  const slot = block.kind !== 'text';
  return (
    <li className={`border-l-8 bg-sheet p-4 ${slot ? 'border-accent' : 'border-line'}`}>
      <div className="mb-2 flex items-baseline gap-3 text-sm">
        <span className="font-semibold">{words.original.kinds[block.kind]}</span>
        <span className="ml-auto flex gap-1">
          <Button look="quiet" disabled={first} onClick={() => onMove(-1)}>
            {words.original.up}
          </Button>
          <Button look="quiet" disabled={last} onClick={() => onMove(1)}>
            {words.original.down}
          </Button>
          <Button look="quiet" onClick={onDrop}>
            {words.original.drop}
          </Button>
        </span>
      </div>
      <textarea
        aria-label={slot ? words.original.prompt : words.original.textLabel}
        placeholder={slot ? words.original.prompt : undefined}
        rows={slot ? 2 : Math.min(12, Math.max(3, block.text.split('\n').length + 2))}
        maxLength={20_000}
        value={block.text}
        onChange={(event) => onText(event.target.value)}
        className="w-full border border-ink bg-sheet px-3 py-2 leading-relaxed"
      />
    </li>
  );
}

/** Where the teacher writes the original of a round. */
export function OriginalEditor({ lesson }: { lesson: Schema['LessonView'] }) {
  const { draft, change, saving, error } = useOriginal(lesson);
  const { say } = useMessages();
  const { blocks } = draft;
  const add = (kind: Block['kind']) =>
    change({ ...draft, blocks: [...blocks, { id: `b${freshKey().slice(0, 8)}`, kind, text: '' }] });
  const move = (i: number, by: number) => {
    const next = [...blocks];
    const [moved] = next.splice(i, 1);
    if (moved !== undefined) next.splice(i + by, 0, moved);
    change({ ...draft, blocks: next });
  };
  const drop = (i: number) => {
    const before = draft;
    change({ ...draft, blocks: blocks.filter((_, j) => j !== i) });
    say(words.original.dropped, () => change(before));
  };
  return (
    <div className="floor-paper flex-1 overflow-y-auto p-6">
      <div className="mx-auto max-w-2xl">
        <p className="mb-4 text-soft">{words.original.lead}</p>
        <div className="flex items-end gap-4">
          <Field
            className="flex-1"
            label={words.original.name}
            value={draft.title}
            maxLength={120}
            onChange={(event) => change({ ...draft, title: event.target.value })}
          />
          <span className="pb-2 text-sm text-soft" role="status">
            {words.original[saving]}
          </span>
        </div>
        {error !== undefined && <p className="mt-2 font-semibold text-lost">{error}</p>}
        {blocks.length === 0 && <p className="py-10 text-center text-soft">{words.original.none}</p>}
        <ul className="mt-4 space-y-3">
          {blocks.map((block, i) => (
            <BlockEditor
              key={block.id}
              block={block}
              first={i === 0}
              last={i === blocks.length - 1}
              onText={(text) =>
                change({ ...draft, blocks: blocks.map((one, j) => (j === i ? { ...one, text } : one)) })
              }
              onMove={(by) => move(i, by)}
              onDrop={() => drop(i)}
            />
          ))}
        </ul>
        <div className="mt-4 flex flex-wrap gap-2">
          <Button onClick={() => add('text')}>{words.original.addText}</Button>
          <Button onClick={() => add('each')}>{words.original.addEach}</Button>
          <Button onClick={() => add('together')}>{words.original.addTogether}</Button>
        </div>
        {blocks.length > 0 && !blocks.some((block) => block.kind !== 'text') && (
          <p className="mt-3 text-sm text-soft">{words.original.needsSlot}</p>
        )}
      </div>
    </div>
  );
}
