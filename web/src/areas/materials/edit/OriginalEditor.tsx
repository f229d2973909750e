// A worksheet being written: pages, blocks, variants.
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { api, take, whole } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import { Field } from '../../../ui/fields/Field';
import { useMessages } from '../../../ui/page/messages';
import { useKeys } from '../../../ui/keys/useKeys';
import * as m from '#messages';
import { newPage, type Block, type Original, type Page } from '../blocks';
import type { Draft } from './drafts';
import { PageEditor } from './PageEditor';
import { Preview } from './Preview';
import { useOriginal } from './useOriginal';
import { Variants } from './Variants';

function About({ draft, onChange }: { draft: Draft; onChange: (draft: Draft, about: string) => void }) {
  return (
    <details className="text-sm">
      <summary className="min-h-6 text-soft">
        {[draft.subject, draft.year, draft.about].filter((one) => one !== '').join(' · ') || m.edit_about()}
      </summary>
      <div className="mt-2 flex flex-wrap gap-3">
        <Field
          label={m.edit_subject()}
          value={draft.subject}
          maxLength={80}
          onChange={(event) => onChange({ ...draft, subject: event.target.value }, 'subject')}
        />
        <Field
          label={m.edit_year()}
          className="w-24"
          value={draft.year}
          maxLength={40}
          onChange={(event) => onChange({ ...draft, year: event.target.value }, 'year')}
        />
        <Field
          label={m.edit_words()}
          className="min-w-60 flex-1"
          value={draft.about}
          maxLength={300}
          onChange={(event) => onChange({ ...draft, about: event.target.value }, 'about')}
        />
      </div>
    </details>
  );
}

const savingText = { saved: m.original_saved, saving: m.original_saving, unsaved: m.original_unsaved };

type Writing = ReturnType<typeof useOriginal>;

/** Its title, whether it is saved, undo and redo, and how students see it. */
function EditorHead({
  writing: { draft, change, undo, redo, saving },
  asStudent,
  onAsStudent,
}: {
  writing: Writing;
  asStudent: boolean;
  onAsStudent: (asStudent: boolean) => void;
}) {
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
      <Field
        className="min-w-60 flex-1"
        label={m.original_name()}
        value={draft.title}
        maxLength={120}
        onChange={(event) => change({ ...draft, title: event.target.value }, 'title')}
      />
      <span className="pb-2 text-sm text-soft" role="status">
        {savingText[saving]()}
      </span>
      <span className="flex gap-2 pb-1">
        <Button disabled={undo === null} onClick={() => undo?.()}>
          {m.edit_undo()}
        </Button>
        <Button disabled={redo === null} onClick={() => redo?.()}>
          {m.edit_redo()}
        </Button>
        <Button aria-pressed={asStudent} onClick={() => onAsStudent(!asStudent)}>
          {asStudent ? m.edit_hideStudent() : m.edit_asStudent()}
        </Button>
      </span>
    </div>
  );
}

/** Another window has saved something else in the same place: one of the two goes on. */
function TwoWindows({ onMine, onTheirs }: { onMine: () => void; onTheirs: () => void }) {
  return (
    <div role="alert" className="mt-3 border-2 border-ink bg-wash p-3">
      <p className="font-semibold">{m.original_twoWindows()}</p>
      <p className="mt-2 flex flex-wrap gap-2">
        <Button onClick={onMine}>{m.original_keepMine()}</Button>
        <Button onClick={onTheirs}>{m.original_takeTheirs()}</Button>
      </p>
    </div>
  );
}

/** The worksheet as students see it, in one of its forms. */
function AsStudent({ draft, html }: { draft: Draft; html: Original['html'] }) {
  const [variant, setVariant] = useState('');
  return (
    <div className="sticky top-0 space-y-2">
      {draft.variants.length > 0 && (
        <Choice
          hidden
          label={m.edit_shownVariant()}
          value={draft.variants.some((one) => one.id === variant) ? variant : ''}
          options={[
            { value: '', label: m.edit_plain() },
            ...draft.variants.map((one) => ({ value: one.id, label: one.name })),
          ]}
          onChange={setVariant}
        />
      )}
      <Preview title={draft.title} pages={draft.pages} html={html} variant={variant} />
    </div>
  );
}

/** The pages beside each other. What was added is what is written next. */
function Pages({
  pages,
  put,
  children,
}: {
  pages: Page[];
  put: (pages: Page[], about?: string) => void;
  children: ReactNode;
}) {
  const { say } = useMessages();
  const fresh = useRef<string | null>(null);
  useEffect(() => {
    if (fresh.current === null) return;
    document.getElementById(fresh.current)?.focus();
    fresh.current = null;
  }, [pages]);
  const without = (block: Block) =>
    pages.map((page) => ({ ...page, blocks: page.blocks.filter((one) => one.id !== block.id) }));
  return (
    <div className="mt-4 flex flex-wrap items-start gap-5">
      {pages.map((page, i) => (
        <PageEditor
          key={page.id}
          page={page}
          index={i}
          pages={pages.length}
          onFresh={(id) => (fresh.current = id)}
          onChange={(next, about) =>
            put(
              pages.map((one) => (one.id === page.id ? next : one)),
              about,
            )
          }
          onToPage={(block, to) =>
            put(without(block).map((one, j) => (j === to ? { ...one, blocks: [...one.blocks, block] } : one)))
          }
          onDropBlock={(block) => {
            put(without(block));
            say(m.edit_dropped());
          }}
          onDrop={pages.length > 1 ? () => put(pages.filter((one) => one.id !== page.id)) : null}
        />
      ))}
      {children}
      {pages.length < 20 && (
        <Button className="self-start" onClick={() => put([...pages, newPage()])}>
          {m.edit_addPage()}
        </Button>
      )}
    </div>
  );
}

function Editor({ original, onSaved }: { original: Original; onSaved: () => void }) {
  const writing = useOriginal(original, onSaved);
  const { draft, change, undo, redo, error, theirs, keepMine, takeTheirs } = writing;
  const { say } = useMessages();
  const [asStudent, setAsStudent] = useState(false);
  useKeys({ 'Ctrl z': () => undo?.(), 'Ctrl y': () => redo?.() });
  return (
    <div className="px-5 pt-4 pb-10">
      <EditorHead writing={writing} asStudent={asStudent} onAsStudent={setAsStudent} />
      <div className="mt-2">
        <About draft={draft} onChange={change} />
      </div>
      {theirs !== null && (
        <TwoWindows
          onMine={keepMine}
          onTheirs={() => {
            takeTheirs();
            say(m.original_tookTheirs());
          }}
        />
      )}
      {error !== undefined && <p className="mt-2 font-semibold text-lost">{error}</p>}
      <Variants draft={draft} onChange={change} />
      <Pages pages={draft.pages} put={(pages, about) => change({ ...draft, pages }, about)}>
        {asStudent && <AsStudent draft={draft} html={original.html} />}
      </Pages>
    </div>
  );
}

/** Where the teacher writes an original. */
export function OriginalEditor({ id, onSaved }: { id: string; onSaved: () => void }) {
  const original = useQuery({
    queryKey: ['original', id],
    queryFn: async () => whole(await take(api.GET('/api/staff/originals/{id}', { params: { path: { id } } }))),
    staleTime: Infinity,
    gcTime: 0,
  });
  if (original.data === undefined)
    return <p className="p-6 text-soft">{original.isError ? problemText(original.error) : m.common_loading()}</p>;
  return <Editor key={id} original={original.data} onSaved={onSaved} />;
}
