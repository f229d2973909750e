// What was deleted lately and can be brought back.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, take, type Schema } from '../../api/client';
import { problemText } from '../../api/problem';
import { Button } from '../../ui/Button';
import { useMessages } from '../../ui/page/messages';
import { Page } from '../../ui/page/Page';
import * as m from '#messages';
import { whenText } from '../../words/when';

type Deleted = Omit<Schema['DeletedView'], 'kind'> & { kind: Schema['DeletedView']['kind'] | 'worksheet' };

const whatIs = (one: Deleted) =>
  one.kind === 'class'
    ? m.deleted_aClass()
    : one.kind === 'worksheet'
      ? m.deleted_aWorksheet()
      : m.deleted_aLesson({ className: one.className });

/** Classes, lessons and worksheets, what was deleted last first. */
async function allDeleted(): Promise<Deleted[]> {
  const [deleted, worksheets] = await Promise.all([
    take(api.GET('/api/staff/deleted')),
    take(api.GET('/api/staff/originals/deleted')),
  ]);
  return [
    ...deleted,
    ...worksheets.map((one) => ({
      kind: 'worksheet' as const,
      id: one.id,
      name: one.title,
      className: '',
      at: one.at,
    })),
  ].sort((a, b) => b.at - a.at);
}

function Row({ one }: { one: Deleted }) {
  const queries = useQueryClient();
  const { say, fail } = useMessages();
  const path = { params: { path: { id: one.id } } };
  const back = useMutation({
    mutationFn: () =>
      take(
        one.kind === 'class'
          ? api.POST('/api/staff/classes/{id}/restore', path)
          : one.kind === 'worksheet'
            ? api.POST('/api/staff/originals/{id}/restore', path)
            : api.POST('/api/staff/lessons/{id}/restore', path),
      ),
    onSuccess: () => say(m.deleted_isBack({ name: one.name })),
    onSettled: () =>
      Promise.all(
        ['deleted', 'classes', 'lessons', 'originals'].map((queryKey) =>
          queries.invalidateQueries({ queryKey: [queryKey] }),
        ),
      ),
    onError: fail,
  });
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-line py-3">
      <span className="min-w-0 flex-1">
        <span className="font-semibold wrap-anywhere">{one.name}</span>{' '}
        <span className="text-soft">
          {whatIs(one)} · {m.deleted_at({ when: whenText(one.at) })}
        </span>
      </span>
      <Button busy={back.isPending} onClick={() => back.mutate()}>
        {m.deleted_bringBack()}
      </Button>
    </li>
  );
}

/** Classes, lessons and worksheets that were deleted lately, and can be brought back. */
export function DeletedPage() {
  const deleted = useQuery({ queryKey: ['deleted'], queryFn: allDeleted });
  return (
    <Page title={m.deleted_title()}>
      <main className="mx-auto w-full max-w-3xl flex-1 px-5 py-8">
        <h2 className="text-3xl font-semibold">{m.deleted_title()}</h2>
        <p className="mt-1 mb-5 text-soft">{m.deleted_lead()}</p>
        {deleted.isPending && <p className="text-soft">{m.common_loading()}</p>}
        {deleted.isError && <p className="font-semibold text-lost">{problemText(deleted.error)}</p>}
        {deleted.data?.length === 0 && <p className="border-t-2 border-ink py-10 text-soft">{m.deleted_none()}</p>}
        <ul>
          {deleted.data?.map((one) => (
            <Row key={one.id} one={one} />
          ))}
        </ul>
        <p className="mt-6 text-sm">
          <Link className="underline underline-offset-4" to="/cupboard">
            {m.deleted_worksheets()}
          </Link>
        </p>
      </main>
    </Page>
  );
}
