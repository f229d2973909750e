// All worksheets of a teacher, and one of them by itself.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, take } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Choices, Do } from '../../../ui/fields/Choices';
import { useMessages } from '../../../ui/page/messages';
import { Page } from '../../../ui/page/Page';
import * as m from '#messages';
import { newPage } from '../blocks';
import { base64 } from '../bytes';
import { cupboardQuery, type Summary } from './cupboard';
import { CupboardList } from './CupboardList';
import { JobProgress } from './JobProgress';
import { OriginalEditor } from '../edit/OriginalEditor';
import { useJob } from './useJob';

const isArchive = (begin: string) => begin === 'PK\u0003\u0004';

/** What is done with originals on the shelf; said, and to be undone. */
function useCupboard() {
  const queries = useQueryClient();
  const { say, sayHere, fail } = useMessages();
  const refresh = () => queries.invalidateQueries({ queryKey: cupboardQuery.queryKey });
  const copy = useMutation({
    mutationFn: (id: string) => take(api.POST('/api/staff/originals/{id}/copy', { params: { path: { id } } })),
    onSettled: refresh,
    onError: fail,
  });
  const archive = useMutation({
    mutationFn: ({ id, archived }: { id: string; archived: boolean }) =>
      take(api.PUT('/api/staff/originals/{id}/archive', { params: { path: { id } }, body: { archived } })),
    onSettled: refresh,
    onError: fail,
  });
  const back = (id: string) =>
    void take(api.POST('/api/staff/originals/{id}/restore', { params: { path: { id } } })).then(refresh, fail);
  const remove = useMutation({
    mutationFn: ({ id }: Summary) => take(api.DELETE('/api/staff/originals/{id}', { params: { path: { id } } })),
    onSuccess: (_, original) => sayHere(m.edit_deleted({ title: original.title }), () => back(original.id)),
    onSettled: refresh,
    onError: fail,
  });
  const setAway = ({ id, title }: Summary, archived: boolean) => {
    archive.mutate({ id, archived });
    if (archived) say(m.edit_putAwayDone({ title }), () => archive.mutate({ id, archived: false }));
  };
  return { copy, setAway, remove };
}

/** A new original, or one from a file; its page opens once it is there. */
function useNewOriginals() {
  const navigate = useNavigate();
  const { fail } = useMessages();
  const { job, follow } = useJob();
  const go = (id: string) => void navigate(`/cupboard/${id}`);
  const add = useMutation({
    mutationFn: () =>
      take(
        api.POST('/api/staff/originals', {
          body: { title: m.original_untitled(), basedOn: 0, pages: [newPage()] },
        }),
      ),
    onSuccess: (made) => go(made.id),
    onError: fail,
  });
  const bring = useMutation({
    mutationFn: async (file: File) => {
      const content = isArchive(await file.slice(0, 4).text())
        ? { package: await base64(file) }
        : { text: await file.text() };
      return take(api.POST('/api/staff/originals/import', { body: { name: file.name, ...content } }));
    },
    onSuccess: (made) => {
      follow(made.job ?? null);
      if (made.original != null) go(made.original);
    },
    onError: fail,
  });
  const brought = job?.original ?? null;
  useEffect(() => {
    if (brought !== null) void navigate(`/cupboard/${brought}`);
  }, [brought, navigate]);
  return { add, bring, job, go };
}

type NewOriginals = ReturnType<typeof useNewOriginals>;

/** Brings a file, or begins anew. */
function NewPresses({ news: { add, bring, job } }: { news: NewOriginals }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".md,.markdown,.txt,.json,.zip"
        aria-label={m.edit_bringFile()}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file !== undefined) bring.mutate(file);
          event.target.value = '';
        }}
      />
      <Button busy={bring.isPending || job?.state === 'working'} onClick={() => input.current?.click()}>
        {m.edit_bringFile()}
      </Button>
      <Button look="main" busy={add.isPending} onClick={() => add.mutate()}>
        {m.edit_writeNew()}
      </Button>
    </>
  );
}

function OriginalMenu({
  original,
  cupboard: { copy, setAway, remove },
  away,
}: {
  original: Summary;
  cupboard: ReturnType<typeof useCupboard>;
  away: boolean;
}) {
  const { id, title } = original;
  return (
    <Choices label="…" name={m.edit_blockMenu({ kind: title })}>
      <Do onPress={() => copy.mutate(id)}>{m.edit_copyIt()}</Do>
      <Do href={`/api/staff/originals/${id}/export/md`} note="Markdown">
        {m.edit_saveAs()}
      </Do>
      <Do href={`/api/staff/originals/${id}/export/json`} note="JSON">
        {m.edit_saveAs()}
      </Do>
      <Do onPress={() => setAway(original, !away)}>{away ? m.edit_takeOutAgain() : m.edit_putAway()}</Do>
      <Do onPress={() => remove.mutate(original)}>{m.edit_deleteIt()}</Do>
    </Choices>
  );
}

/** All originals of a teacher. */
export function CupboardPage() {
  const [away, setAway] = useState(false);
  const all = useQuery(cupboardQuery).data ?? [];
  const putAway = all.filter((one) => one.archived).length;
  const cupboard = useCupboard();
  const news = useNewOriginals();
  const { job, go } = news;
  return (
    <Page title={m.edit_cupboard()}>
      <main className="mx-auto w-full max-w-6xl p-6">
        <div className="mb-5 flex flex-wrap items-end gap-4">
          <div className="min-w-0 flex-1">
            <h1 className="text-3xl font-semibold">{m.edit_cupboard()}</h1>
            <p className="text-soft">{m.edit_cupboardLead()}</p>
          </div>
          <NewPresses news={news} />
        </div>
        {job !== null && job.state !== 'done' && (
          <div className="mb-5">
            <JobProgress job={job} label={m.edit_bringing()} />
          </div>
        )}
        <CupboardList archived={away}>
          {(original) => (
            <>
              <Button onClick={() => go(original.id)}>{m.edit_open()}</Button>
              <OriginalMenu original={original} cupboard={cupboard} away={away} />
            </>
          )}
        </CupboardList>
        {(putAway > 0 || away) && (
          <Button look="quiet" className="mt-6" aria-pressed={away} onClick={() => setAway(!away)}>
            {away ? m.edit_back() : m.edit_showAway({ n: putAway })}
          </Button>
        )}
      </main>
    </Page>
  );
}

/** One original, written outside of any lesson. */
export function OriginalPage() {
  const { id = '' } = useParams();
  const queries = useQueryClient();
  return (
    <Page
      title={m.edit_cupboard()}
      trail={
        <Link to="/cupboard" className="underline decoration-line underline-offset-4 hover:decoration-ink">
          {m.edit_back()}
        </Link>
      }
    >
      <main className="floor-paper min-h-0 flex-1">
        <OriginalEditor
          key={id}
          id={id}
          onSaved={() => void queries.invalidateQueries({ queryKey: cupboardQuery.queryKey })}
        />
      </main>
    </Page>
  );
}
