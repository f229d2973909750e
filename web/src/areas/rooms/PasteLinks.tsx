// Links for all rooms, pasted at once.
import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useId, useState } from 'react';
import { api, take, type Schema } from '../../api/client';
import { problemText } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Sheet } from '../../ui/slips/Sheet';
import { useKept } from '../../ui/useKept';
import * as m from '#messages';

const pause = 300;

type Line = Schema['PastedLinkView'];

/** What each line comes to. */
function Lines({ lines, nameOf }: { lines: Line[]; nameOf: (place: string | null) => string }) {
  return (
    <ul aria-live="polite" className="mt-3 max-h-72 overflow-y-auto">
      {lines.map((line) => (
        <li key={line.line} className="grid grid-cols-[9rem_minmax(0,1fr)] gap-x-3 border-b border-line py-1.5 text-sm">
          <span className={line.host === null ? 'text-soft' : 'font-semibold'}>{nameOf(line.place)}</span>
          <span className="min-w-0">
            <span className="block truncate">{line.shown}</span>
            {line.note !== null && (
              <span className={line.host === null ? 'block font-semibold text-lost' : 'block text-soft'}>
                {line.note}
              </span>
            )}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** What was pasted, read a moment after it was typed, and used as it was read. */
function useLinks(lesson: Schema['LessonView'], open: boolean, onDone: () => void) {
  const [text, setText, forget] = useKept(`links:${lesson.round.id}`);
  const [asked, setAsked] = useState('');
  useEffect(() => {
    const timer = setTimeout(() => setAsked(text), pause);
    return () => clearTimeout(timer);
  }, [text]);
  const params = { path: { id: lesson.round.id } };
  const read = useQuery({
    queryKey: ['links', lesson.round.id, lesson.floor.step, asked],
    queryFn: () => take(api.POST('/api/staff/rounds/{id}/links/read', { params, body: { text: asked } })),
    enabled: open && asked.trim() !== '',
    placeholderData: (before) => before,
  });
  const use = useMutation({
    mutationFn: () => take(api.PUT('/api/staff/rounds/{id}/links', { params, body: { text } })),
    onSuccess: () => {
      forget();
      onDone();
    },
  });
  return { text, setText, isRead: asked === text, lines: asked.trim() === '' ? [] : (read.data ?? []), use };
}

/** Where the links are pasted, with an example of this lesson's groups. */
function PasteField({
  groups,
  text,
  onText,
}: {
  groups: Schema['GroupView'][];
  text: string;
  onText: (text: string) => void;
}) {
  const id = useId();
  return (
    <>
      <p className="text-soft" id={`${id}-lead`}>
        {m.rooms_pasteLead()} {m.rooms_pasteMain()}
      </p>
      <label htmlFor={id} className="mt-3 block text-sm font-semibold">
        {m.rooms_pasteLabel()}
      </label>
      <textarea
        id={id}
        rows={7}
        value={text}
        maxLength={100_000}
        aria-describedby={`${id}-lead`}
        onChange={(event) => onText(event.target.value)}
        placeholder={groups
          .slice(0, 3)
          .map((group, i) => `${group.name}: https://rooms.example/${i + 1}`)
          .join('\n')}
        className="mt-1 block w-full border border-ink bg-sheet px-3 py-2 font-mono text-sm"
      />
    </>
  );
}

/** Links pasted for the groups: what each line comes to is shown before anything is done, and just that is done. */
export function PasteLinks({
  lesson,
  open,
  onClose,
  onDone,
}: {
  lesson: Schema['LessonView'];
  open: boolean;
  onClose: () => void;
  onDone: () => void;
}) {
  const { text, setText, isRead, lines, use } = useLinks(lesson, open, onDone);
  const { groups } = lesson.floor;
  const good = lines.filter((line) => line.host !== null).length;
  const nameOf = (place: string | null) =>
    place === null
      ? m.rooms_toNobody()
      : place === 'main'
        ? m.rooms_mainSession()
        : (groups.find((group) => group.id === place)?.name ?? m.rooms_gone());
  return (
    <Sheet open={open} onClose={onClose} title={m.rooms_paste()}>
      <PasteField groups={groups} text={text} onText={setText} />
      <Lines lines={lines} nameOf={nameOf} />
      {use.isError && (
        <p role="alert" className="mt-3 font-semibold text-lost">
          {problemText(use.error)}
        </p>
      )}
      <Button
        look="main"
        className="mt-4"
        busy={use.isPending}
        disabled={good === 0 || !isRead}
        onClick={() => use.mutate()}
      >
        {good === 0 ? m.rooms_useNone() : m.rooms_use({ n: good })}
      </Button>
    </Sheet>
  );
}
