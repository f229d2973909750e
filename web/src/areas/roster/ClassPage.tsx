// A class: its list, seating plan and rules, how students join, its lessons.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Fragment, useState, type ReactNode } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { api, take, type Schema } from '../../api/client';
import { classesQuery, groupingsQuery } from '../../api/lists';
import { problemText } from '../../api/problem';
import { Button } from '../../ui/Button';
import { useMessages } from '../../ui/page/messages';
import { Gently } from '../../ui/page/Gently';
import { Page } from '../../ui/page/Page';
import { Tabs } from '../../ui/page/Tabs';
import { dateText } from '../../words/when';
import * as m from '#messages';
import { EditText } from './EditText';
import { BringIn } from './list/BringIn';
import { DoorBox } from './door/DoorBox';
import { PrivacySheet } from './privacy/PrivacySheet';
import { RuleList } from './RuleList';
import { SeatingPlan } from './SeatingPlan';
import { StaffList } from './StaffList';
import { StudentList } from './list/StudentList';

const tabText = { list: m.roster_tabs_list, plan: m.roster_tabs_plan, rules: m.roster_tabs_rules };

const tabs = ['list', 'plan', 'rules'] as const;

function Groupings({ data }: { data: Schema['ClassView'] }) {
  const query = useQuery(groupingsQuery(data.id));
  const groupings = query.data ?? [];
  const navigate = useNavigate();
  const { fail } = useMessages();
  const make = useMutation({
    mutationFn: () =>
      take(
        api.POST('/api/staff/classes/{id}/groupings', {
          params: { path: { id: data.id } },
          body: { name: m.roster_groupingNumber({ n: groupings.length + 1 }) },
        }),
      ),
    onSuccess: (made) => void navigate(`/groupings/${made.id}`),
    onError: fail,
  });
  return (
    <section aria-label={m.roster_groupings()}>
      <div className="flex items-baseline justify-between gap-3">
        <h2 className="text-lg font-semibold">{m.roster_groupings()}</h2>
        <Button look="quiet" className="text-sm" onClick={() => make.mutate()} busy={make.isPending}>
          {m.roster_newGrouping()}
        </Button>
      </div>
      <ul className="mt-2 space-y-1">
        {query.isSuccess && groupings.length === 0 && <li className="text-sm text-soft">{m.roster_groupingsNone()}</li>}
        {groupings.map((grouping) => (
          <li key={grouping.id}>
            <Link to={`/groupings/${grouping.id}`} className="block border border-ink bg-sheet px-3 py-2 hover:bg-wash">
              <span className="block font-semibold wrap-anywhere">{grouping.name}</span>
              <span className="text-sm text-soft">
                {grouping.groups === 0
                  ? m.roster_groupingEmpty()
                  : m.roster_groupingOf({ g: grouping.groups, n: grouping.seated })}
                {grouping.usedAt !== null && <> · {m.roster_groupingUsed({ when: dateText(grouping.usedAt) })}</>}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What is done with a class as a whole. */
function useClassMutations(data: Schema['ClassView']) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const { say, sayHere, fail } = useMessages();
  const path = { params: { path: { id: data.id } } };
  const listAnew = (...keys: string[]) =>
    Promise.all(keys.map((queryKey) => queries.invalidateQueries({ queryKey: [queryKey] })));
  const copy = useMutation({
    mutationFn: () =>
      take(
        api.POST('/api/staff/classes/{id}/copy', { ...path, body: { name: m.roster_copyName({ name: data.name }) } }),
      ),
    onSuccess: async (made) => {
      await listAnew('classes');
      await navigate(`/classes/${made.id}`);
    },
    onError: fail,
  });
  const archive = useMutation({
    mutationFn: (archived: boolean) =>
      take(api.POST('/api/staff/classes/{id}/archive', { ...path, body: { archived } })),
    onSuccess: (_, archived) => {
      if (archived) say(m.roster_archived({ name: data.name }), () => archive.mutate(false));
    },
    onSettled: () => Promise.all([queries.invalidateQueries({ queryKey: ['class', data.id] }), listAnew('classes')]),
    onError: fail,
  });
  const away = useMutation({
    mutationFn: () => take(api.DELETE('/api/staff/classes/{id}', path)),
    onSuccess: async () => {
      await navigate('/');
      sayHere(m.roster_classDeleted({ name: data.name }), () => {
        take(api.POST('/api/staff/classes/{id}/restore', path)).then(() => listAnew('classes', 'lessons'), fail);
      });
      await listAnew('classes', 'lessons');
    },
    onError: fail,
  });
  return { copy, archive, away };
}

function ClassActions({ data }: { data: Schema['ClassView'] }) {
  const [isPrivate, setPrivate] = useState(false);
  const { copy, archive, away } = useClassMutations(data);
  const formats = [
    ['csv', m.roster_exportCsv()],
    ['json', m.roster_exportJson()],
    ['oneroster', m.roster_exportOneRoster()],
  ] as const;
  return (
    <section aria-label={m.roster_exportAs()} className="space-y-1 border-t border-line pt-3 text-sm print:hidden">
      <p>
        {m.roster_exportAs()}:{' '}
        {formats.map(([format, label], i) => (
          <Fragment key={format}>
            {i > 0 && ' · '}
            <a
              className="inline-block min-h-6 underline decoration-line underline-offset-4 hover:decoration-ink"
              href={`/api/staff/classes/${data.id}/export/${format}`}
              download
            >
              {label}
            </a>
          </Fragment>
        ))}
      </p>
      <p>
        <a
          className="inline-block min-h-6 underline decoration-line underline-offset-4 hover:decoration-ink"
          href={`/api/staff/classes/${data.id}/file`}
          download
        >
          {m.lessonFile_saveClass()}
        </a>
      </p>
      <div className="-ms-2 flex flex-col items-start">
        <Button look="quiet" onClick={() => setPrivate(true)}>
          {m.privacy_title()}
        </Button>
        <Button look="quiet" onClick={() => copy.mutate()} busy={copy.isPending}>
          {m.roster_copyClass()}
        </Button>
        <Button look="quiet" onClick={() => archive.mutate(!data.archived)}>
          {data.archived ? m.roster_unarchive() : m.roster_archive()}
        </Button>
        <Button look="quiet" onClick={() => away.mutate()} busy={away.isPending}>
          {m.roster_deleteClass()}
        </Button>
      </div>
      <PrivacySheet data={data} open={isPrivate} onClose={() => setPrivate(false)} />
    </section>
  );
}

interface OfClass {
  data: Schema['ClassView'];
  /** Whoever looks helps in the class, and may not change what is the owner's. */
  assisting: boolean;
}

/** The class's name, how many are here, and how students join. */
function ClassHead({ data, assisting }: OfClass) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const counted = data.students.filter((student) => student.seatable !== false);
  const rename = (name: string) =>
    take(api.PATCH('/api/staff/classes/{id}', { params: { path: { id: data.id } }, body: { name } })).then((fresh) => {
      queries.setQueryData(['class', data.id], fresh);
      void queries.invalidateQueries({ queryKey: ['classes'] });
    }, fail);
  return (
    <div className="mb-6 flex flex-wrap items-start justify-between gap-4">
      <div className="min-w-0">
        <EditText
          as="h1"
          className="text-3xl font-semibold"
          label={m.roster_renameClass()}
          value={data.name}
          maxLength={80}
          onSave={(name) => void rename(name)}
        />
        <p className="mt-1 text-soft">
          {m.roster_present({ n: counted.filter((s) => !s.absent).length, all: counted.length })}
          {data.archived && <> · {m.roster_isArchived()}</>}
        </p>
        {assisting && <p className="mt-1 font-semibold">{m.staff_assisting()}</p>}
      </div>
      <DoorBox data={data} />
    </div>
  );
}

/** The list, and what brings more students in. */
function ListTab({ data, assisting }: OfClass) {
  const [bringing, setBringing] = useState(false);
  const isEmpty = data.students.length === 0;
  return (
    <>
      {(bringing || isEmpty) && (
        <div className="mb-6">
          <BringIn classId={data.id} main={isEmpty} onDone={isEmpty ? undefined : () => setBringing(false)} />
        </div>
      )}
      <Gently>
        <StudentList
          classId={data.id}
          students={data.students}
          attributes={data.attributes}
          beside={!bringing && !assisting && <Button onClick={() => setBringing(true)}>{m.roster_bringIn()}</Button>}
        />
      </Gently>
    </>
  );
}

/** The class list, the seating plan, the rules. */
function ClassTabs({ data, assisting }: OfClass) {
  const [search, setSearch] = useSearchParams();
  const queries = useQueryClient();
  const tab = tabs.find((one) => one === search.get('view')) ?? 'list';
  return (
    <div>
      <div className="mb-4 border-b border-line print:hidden">
        <Tabs
          label={m.lesson_views()}
          tabs={tabs.map((one) => ({ value: one, label: tabText[one]() }))}
          shown={tab}
          onShow={(to) => setSearch(to === 'list' ? {} : { view: to })}
        />
      </div>
      {tab === 'list' && <ListTab data={data} assisting={assisting} />}
      {tab === 'plan' && <SeatingPlan classId={data.id} students={data.students} tables={data.tables} />}
      {tab === 'rules' && (
        <RuleList
          classId={data.id}
          rules={data.rules}
          students={data.students}
          onChange={() => queries.invalidateQueries({ queryKey: ['class', data.id] })}
        />
      )}
    </div>
  );
}

/** @param props.lessons what the class is taught: its lessons, from the area that knows of them */
export function ClassPage({ lessons }: { lessons: (classId: string, hasStudents: boolean) => ReactNode }) {
  const { id = '' } = useParams();
  const query = useQuery({
    queryKey: ['class', id],
    queryFn: () => take(api.GET('/api/staff/classes/{id}', { params: { path: { id } } })),
  });
  const data = query.data;
  const assisting = useQuery(classesQuery).data?.find((one) => one.id === id)?.role === 'assistant';
  return (
    <Page title={data?.name}>
      <main className="mx-auto w-full max-w-6xl flex-1 px-5 py-6">
        {query.isPending && <p className="text-soft">{m.common_loading()}</p>}
        {query.isError && <p className="font-semibold text-lost">{problemText(query.error)}</p>}
        {data !== undefined && (
          <>
            <ClassHead data={data} assisting={assisting} />
            <div className="grid grid-cols-[minmax(0,1fr)] gap-8 lg:grid-cols-[minmax(0,1fr)_22rem]">
              <div className="space-y-6">
                <ClassTabs data={data} assisting={assisting} />
              </div>
              <div className="space-y-6">
                {lessons(data.id, data.students.length > 0)}
                <Groupings data={data} />
                <StaffList classId={data.id} mayChange={!assisting} />
                <ClassActions data={data} />
              </div>
            </div>
          </>
        )}
      </main>
    </Page>
  );
}
