import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useId } from 'react';
import { api, take, type Schema } from '../../api/client';
import { problemText } from '../../api/problem';
import { words } from '../../words';

type Preview = Schema['PastedListView'];

/** What a pasted list would give, asked of the server while the teacher types. */
export function usePreview(text: string, classId?: string) {
  const asked = useDeferredValue(text);
  return useQuery({
    queryKey: ['preview', classId, asked],
    queryFn: (): Promise<Preview> =>
      take(
        classId === undefined
          ? api.POST('/api/staff/classes/preview', { body: { names: asked } })
          : api.POST('/api/staff/classes/{id}/preview', { params: { path: { id: classId } }, body: { names: asked } }),
      ),
    enabled: asked.trim() !== '',
    placeholderData: (before) => before,
    retry: false,
  });
}

/** A box to paste names into; under it, every line that is not simply taken, with the reason. */
export function PasteNames({
  text,
  onText,
  preview,
  error,
  rows = 10,
}: {
  text: string;
  onText: (text: string) => void;
  preview: ReturnType<typeof usePreview>;
  error?: string | undefined;
  rows?: number;
}) {
  const id = useId();
  const remarks = text.trim() === '' ? [] : (preview.data?.lines.filter((line) => line.fate !== 'taken') ?? []);
  const wrong = error ?? (text.trim() !== '' && preview.isError ? problemText(preview.error) : undefined);
  return (
    <div>
      <label htmlFor={id} className="block text-sm font-semibold">
        {words.classes.paste}
      </label>
      <textarea
        id={id}
        rows={rows}
        value={text}
        onChange={(event) => onText(event.target.value)}
        aria-describedby={`${id}-note`}
        className="mt-1 w-full border border-ink bg-sheet px-3 py-2 leading-relaxed"
      />
      <div id={`${id}-note`} className="text-sm">
        {wrong === undefined ? (
          <p className="text-soft">{words.classes.pasteHint}</p>
        ) : (
          <p className="font-semibold text-lost">{wrong}</p>
        )}
        {remarks.length > 0 && (
          <ul className="mt-2 max-h-36 space-y-1 overflow-y-auto border-l-4 border-accent pl-3">
            {remarks.map((line) => (
              <li key={line.line}>
                <span className="font-semibold">{line.text.trim().slice(0, 40)}</span>{' '}
                <span className="text-soft">{line.message}</span>
              </li>
            ))}
          </ul>
        )}
      </div>
    </div>
  );
}
