import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, take, type Schema } from '../../api/client';
import { isProblem, problemText } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { useMessages } from '../../ui/messages';
import { Page } from '../../ui/Page';
import { words } from '../../words';
import { EditText } from './EditText';
import { PasteNames, usePreview } from './PasteNames';
import { StudentList } from './StudentList';

function AddStudents({ classId, empty }: { classId: string; empty: boolean }) {
  const [names, setNames] = useState('');
  const preview = usePreview(names, classId);
  const queries = useQueryClient();
  const { say } = useMessages();
  const add = useMutation({
    mutationFn: () =>
      take(api.POST('/api/staff/classes/{id}/students', { params: { path: { id: classId } }, body: { names } })),
    onSuccess: async (list) => {
      // What was not taken stays in the box: nothing is lost.
      setNames(
        list.lines
          .filter((line) => line.fate === 'refused')
          .map((line) => line.text)
          .join('\n'),
      );
      say(words.roster.added(list.taken));
      await queries.invalidateQueries({ queryKey: ['class', classId] });
    },
  });
  const taken = names.trim() === '' ? 0 : (preview.data?.taken ?? 0);
  return (
    <section aria-label={words.roster.addTitle} className="border border-ink bg-sheet p-4">
      <h2 className="mb-3 text-lg font-semibold">{words.roster.addTitle}</h2>
      <PasteNames
        text={names}
        onText={setNames}
        preview={preview}
        rows={5}
        error={isProblem(add.error) ? add.error.message : undefined}
      />
      <Button
        look={empty ? 'main' : 'plain'}
        className="mt-3"
        onClick={() => add.mutate()}
        busy={add.isPending}
        disabled={taken === 0}
      >
        {words.roster.add(taken)}
      </Button>
    </section>
  );
}

function NewLesson({ classId, main }: { classId: string; main: boolean }) {
  const [title, setTitle] = useState('');
  const [minutes, setMinutes] = useState('50');
  const navigate = useNavigate();
  const make = useMutation({
    mutationFn: () =>
      take(
        api.POST('/api/staff/classes/{id}/lessons', {
          params: { path: { id: classId } },
          body: { title, minutes: Number(minutes) || 0 },
        }),
      ),
    onSuccess: (lesson) => navigate(`/lessons/${lesson.id}`),
  });
  const problem = isProblem(make.error) ? make.error : undefined;
  return (
    <form
      className="mt-3 border border-ink bg-sheet p-4"
      onSubmit={(event) => {
        event.preventDefault();
        make.mutate();
      }}
    >
      <h3 className="mb-2 font-semibold">{words.roster.newLesson}</h3>
      <Field
        label={words.roster.lessonTitle}
        value={title}
        maxLength={120}
        onChange={(e) => setTitle(e.target.value)}
        error={problem?.field('title') ?? (problem?.errors.length === 0 ? problem.message : undefined)}
      />
      <Field
        className="mt-3 max-w-40"
        label={words.roster.lessonMinutes}
        type="number"
        min={5}
        max={600}
        value={minutes}
        onChange={(e) => setMinutes(e.target.value)}
        error={problem?.field('minutes')}
      />
      <Button look={main ? 'main' : 'plain'} type="submit" className="mt-4" busy={make.isPending}>
        {words.roster.makeLesson}
      </Button>
    </form>
  );
}

function Lessons({ data }: { data: Schema['ClassView'] }) {
  return (
    <section aria-label={words.classes.lessons}>
      <h2 className="text-lg font-semibold">{words.classes.lessons}</h2>
      <ul className="mt-2 space-y-1">
        {data.lessons.map((lesson) => (
          <li key={lesson.id}>
            <Link
              to={`/lessons/${lesson.id}`}
              className="flex items-baseline gap-3 border border-ink bg-sheet px-3 py-2 hover:bg-wash"
            >
              <span className="min-w-0 flex-1 font-semibold wrap-anywhere">{lesson.title}</span>
              {lesson.current && <span className="bg-accent px-1.5 text-sm text-on-accent">{words.classes.nowOn}</span>}
            </Link>
          </li>
        ))}
      </ul>
      <NewLesson classId={data.id} main={data.students.length > 0 && data.lessons.length === 0} />
    </section>
  );
}

export function ClassPage() {
  const { id = '' } = useParams();
  const queries = useQueryClient();
  const { fail } = useMessages();
  const query = useQuery({
    queryKey: ['class', id],
    queryFn: () => take(api.GET('/api/staff/classes/{id}', { params: { path: { id } } })),
  });
  const data = query.data;
  const rename = (name: string) =>
    take(api.PATCH('/api/staff/classes/{id}', { params: { path: { id } }, body: { name } })).then((fresh) => {
      queries.setQueryData(['class', id], fresh);
      void queries.invalidateQueries({ queryKey: ['classes'] });
    }, fail);
  return (
    <Page>
      <main className="mx-auto w-full max-w-6xl flex-1 px-5 py-6">
        {query.isPending && <p className="text-soft">{words.common.loading}</p>}
        {query.isError && <p className="font-semibold text-lost">{problemText(query.error)}</p>}
        {data !== undefined && (
          <>
            <div className="mb-6 flex flex-wrap items-end justify-between gap-4">
              <div className="min-w-0">
                <EditText
                  as="h1"
                  className="text-3xl font-semibold"
                  label={words.roster.renameClass}
                  value={data.name}
                  maxLength={80}
                  onSave={(name) => void rename(name)}
                />
                <p className="mt-1 text-soft">
                  {words.roster.present(data.students.filter((s) => !s.absent).length, data.students.length)}
                </p>
              </div>
              <p className="text-right text-sm text-soft">
                {words.roster.codeLead} <span className="text-ink">{window.location.host}/student</span>
                <span className="block font-head text-4xl font-bold tracking-[0.2em] text-ink">{data.code}</span>
              </p>
            </div>
            <div className="grid gap-8 lg:grid-cols-[minmax(0,1fr)_22rem]">
              <div className="space-y-6">
                <StudentList classId={id} students={data.students} />
                <AddStudents classId={id} empty={data.students.length === 0} />
              </div>
              <Lessons data={data} />
            </div>
          </>
        )}
      </main>
    </Page>
  );
}
