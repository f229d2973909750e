// A list that is to be imported: what becomes of each line.
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useRef, useState, type ReactNode } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { isProblem } from '../../../api/problem';
import { Choice } from '../../../ui/fields/Choice';
import { Button } from '../../../ui/Button';
import { useKept } from '../../../ui/useKept';
import * as m from '#messages';

type Import = Schema['ImportView'];
type Column = Schema['ColumnChoice'];
type Request = Schema['ImportRequest'];

const largest = 4_000_000;
const linesShown = 60;
const kinds: Column['kind'][] = [
  'name',
  'given',
  'family',
  'schoolId',
  'email',
  'table',
  'tags',
  'tag',
  'attribute',
  'nothing',
];

async function base64(file: File): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = '';
  for (let i = 0; i < bytes.length; i += 32_768) text += String.fromCharCode(...bytes.subarray(i, i + 32_768));
  return btoa(text);
}

function Columns({ columns, onColumns }: { columns: Column[]; onColumns: (columns: Column[]) => void }) {
  const change = (i: number, part: Partial<Column>) =>
    onColumns(columns.map((column, at) => (at === i ? { ...column, ...part } : column)));
  return (
    <fieldset className="min-w-0">
      <legend className="text-sm font-semibold">{m.roster_bringColumns()}</legend>
      <ul className="mt-1 flex gap-2 overflow-x-auto pb-1">
        {columns.map((column, i) => {
          const named = column.kind === 'attribute' || column.kind === 'tag';
          return (
            <li key={i} className="w-40 shrink-0 border border-ink bg-sheet p-2 text-sm">
              {named ? (
                <input
                  aria-label={m.roster_columnNumber({ n: i + 1 })}
                  className="w-full border-b border-line bg-transparent font-semibold"
                  value={column.heading}
                  maxLength={60}
                  placeholder={m.roster_columnNumber({ n: i + 1 })}
                  onChange={(event) => change(i, { heading: event.target.value })}
                />
              ) : (
                <span className="block truncate font-semibold">
                  {column.heading === '' ? m.roster_columnNumber({ n: i + 1 }) : column.heading}
                </span>
              )}
              <span className="block truncate text-soft">{(column.samples ?? []).join(', ')}</span>
              <Choice
                hidden
                label={`${m.roster_bringColumns()} ${i + 1}`}
                className="mt-1"
                value={column.kind}
                options={kinds.map((kind) => ({ value: kind, label: m.roster_columnKind({ key: kind }) }))}
                onChange={(kind) => change(i, { kind })}
              />
            </li>
          );
        })}
      </ul>
    </fieldset>
  );
}

function Lines({ preview }: { preview: Import }) {
  const order = { refused: 0, changed: 1, added: 2, same: 3 };
  const lines = [...preview.lines].sort((a, b) => order[a.fate] - order[b.fate] || a.line - b.line);
  return (
    // A list that scrolls has to be reachable by keyboard.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div className="max-h-72 overflow-y-auto border border-line" tabIndex={0}>
      <table className="w-full text-sm">
        <tbody>
          {lines.slice(0, linesShown).map((line) => (
            <tr key={line.line} className="border-b border-line last:border-0">
              <td className="w-10 px-2 py-0.5 text-end text-soft tabular-nums">{line.line}</td>
              <td className="px-2 py-0.5 wrap-anywhere">{line.name === '' ? line.shown : line.name}</td>
              <td
                className={`px-2 py-0.5 ${line.fate === 'refused' ? 'font-semibold' : line.fate === 'same' ? 'text-soft' : ''}`}
              >
                {m.roster_bringFate({ key: line.fate })}
              </td>
              <td className="px-2 py-0.5 text-soft wrap-anywhere">
                {line.message === '' ? line.changes.join('; ') : line.message}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What was given: pasted text or a file, and what the teacher says its columns are. */
function useGiven(classId: string | null) {
  const [text, setText, forgetText] = useKept(`list:${classId ?? 'new'}`);
  const [file, setFile] = useState<{ name: string; bytes: string } | null>(null);
  const [tooLarge, setTooLarge] = useState(false);
  const [columns, setColumns] = useState<Column[] | null>(null);
  const [heading, setHeading] = useState<boolean | null>(null);
  const [packageClass, setPackageClass] = useState<string | null>(null);
  const forget = () => {
    forgetText();
    setFile(null);
    setColumns(null);
    setHeading(null);
    setPackageClass(null);
  };
  const choose = (chosen: File) => {
    setTooLarge(chosen.size > largest);
    if (chosen.size > largest) return;
    void base64(chosen).then((bytes) => {
      forget();
      setFile({ name: chosen.name, bytes });
    });
  };
  const type = (pasted: string) => {
    setText(pasted);
    setColumns(null);
  };
  const chosen = { columns, setColumns, heading, setHeading, packageClass, setPackageClass };
  return { text, type, file, choose, tooLarge, forget, ...chosen };
}

/** @param classId null: a class that is not there yet */
export function useReading(classId: string | null) {
  const given = useGiven(classId);
  const { file, text, columns, heading, packageClass } = given;
  const request: Request = {
    text: file === null ? text : null,
    file: file?.bytes ?? null,
    columns: columns?.map((column) => ({ heading: column.heading, kind: column.kind, samples: [] })) ?? null,
    heading,
    packageClass,
  };
  const asked = useDeferredValue(request);
  const something = file !== null || text.trim() !== '';
  const preview = useQuery({
    // A part of the class: whatever changes the list changes what would be added to it.
    queryKey: ['class', classId ?? 'new', 'bringIn', file?.name ?? '', asked],
    staleTime: 0,
    gcTime: 0,
    queryFn: () =>
      take(
        classId === null
          ? api.POST('/api/staff/classes/new/import/preview', { body: asked })
          : api.POST('/api/staff/classes/{id}/import/preview', { params: { path: { id: classId } }, body: asked }),
      ),
    enabled: something,
    placeholderData: (before) => before,
    retry: false,
  });
  const seen = something && preview.error === null ? preview.data : undefined;
  return { ...given, request, something, preview, seen };
}

type Reading = ReturnType<typeof useReading>;

function ChooseFile({ onChoose }: { onChoose: (file: File) => void }) {
  const chooser = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={chooser}
        type="file"
        aria-label={m.roster_bringFile()}
        accept=".csv,.tsv,.txt,.xlsx,.ods,.zip"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          event.target.value = '';
          if (chosen !== undefined) onChoose(chosen);
        }}
      />
      <Button onClick={() => chooser.current?.click()}>{m.roster_bringFile()}</Button>
    </>
  );
}

/** Where a list is pasted, or a file chosen. */
function Source({ reading: { text, type, file, choose, something, forget } }: { reading: Reading }) {
  return (
    <div className="mt-3 flex flex-wrap items-start gap-3">
      {file === null ? (
        <textarea
          aria-label={m.roster_bringPaste()}
          placeholder={m.roster_bringPaste()}
          rows={something ? 5 : 3}
          value={text}
          onChange={(event) => type(event.target.value)}
          className="min-w-60 flex-1 border border-ink bg-sheet px-3 py-2"
        />
      ) : (
        <p className="flex-1 font-semibold wrap-anywhere">{file.name}</p>
      )}
      <div className="flex flex-col gap-2">
        <ChooseFile onChoose={choose} />
        {something && (
          <Button look="quiet" onClick={forget}>
            {file === null ? m.roster_bringClear() : m.roster_bringOther()}
          </Button>
        )}
      </div>
    </div>
  );
}

/** How it was understood, to be put right: which class, which columns, whether the first row is a heading. */
function Understood({ reading, seen }: { reading: Reading; seen: Import }) {
  const { columns, setColumns, heading, setHeading, packageClass, setPackageClass } = reading;
  return (
    <>
      {seen.packageClasses.length > 0 && (
        <Choice
          label={m.roster_bringWhich()}
          className="max-w-sm"
          value={packageClass ?? ''}
          options={[
            { value: '', label: m.roster_bringAll() },
            ...seen.packageClasses.map((one) => ({ value: one.id, label: `${one.title} (${one.students})` })),
          ]}
          onChange={(one) => setPackageClass(one === '' ? null : one)}
        />
      )}
      {(seen.columns.length > 1 || seen.heading) && (
        <>
          <Columns columns={columns ?? seen.columns} onColumns={setColumns} />
          <label className="flex items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={heading ?? seen.heading}
              onChange={(event) => setHeading(event.target.checked)}
            />
            {m.roster_bringHeading()}
          </label>
        </>
      )}
      <Lines preview={seen} />
    </>
  );
}

/** A list from anywhere, pasted or in a file, and row by row what would become of it. */
export function ReadingBox({
  reading,
  error,
  children,
}: {
  reading: Reading;
  /** What went wrong when it was carried out. */
  error?: unknown;
  children?: (seen: Import) => ReactNode;
}) {
  const { tooLarge, seen } = reading;
  const problem = [error, reading.preview.error].find((one) => isProblem(one));
  return (
    <>
      <Source reading={reading} />
      {(tooLarge || isProblem(problem)) && (
        <p role="alert" className="mt-2 font-semibold text-lost">
          {tooLarge ? m.roster_bringTooLarge() : isProblem(problem) ? problem.message : ''}
        </p>
      )}
      {seen !== undefined && (
        <div className="mt-4 space-y-3">
          <Understood reading={reading} seen={seen} />
          {children?.(seen)}
        </div>
      )}
    </>
  );
}
