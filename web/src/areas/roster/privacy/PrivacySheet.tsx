// What is kept of a class, until when, and what a student may ask for: everything about them, or to be forgotten.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, whole, type Schema } from '../../../api/client';
import { isProblem, problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { ChooseStudent } from '../../../ui/fields/ChooseStudent';
import { Field } from '../../../ui/fields/Field';
import { useMessages } from '../../../ui/page/messages';
import { Sheet } from '../../../ui/slips/Sheet';
import * as m from '#messages';
import { dateText } from '../../../words/when';

type Privacy = Schema['PrivacyView'];

/** Until when everything is kept. */
function KeepUntil({ classId, privacy }: { classId: string; privacy: Privacy }) {
  const [day, setDay] = useState(privacy.endsOn ?? '');
  const queries = useQueryClient();
  const keep = useMutation({
    mutationFn: (endsOn: string | null) =>
      take(api.PUT('/api/staff/classes/{id}/privacy', { params: { path: { id: classId } }, body: { endsOn } })),
    onSuccess: (fresh) => {
      queries.setQueryData(['privacy', classId], fresh);
      setDay(fresh.endsOn ?? '');
    },
  });
  return (
    <form
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate(day === '' ? null : day);
      }}
    >
      <h3 className="text-lg">{m.privacy_keep()}</h3>
      <p className="text-sm text-soft">{m.privacy_keepHint()}</p>
      {privacy.announcedAt != null && (
        <p className="text-sm font-semibold">{m.privacy_announced({ day: dateText(privacy.announcedAt) })}</p>
      )}
      <div className="flex flex-wrap items-end gap-3">
        <Field
          label={m.privacy_endsOn()}
          type="date"
          min={privacy.earliest}
          value={day}
          error={isProblem(keep.error) ? (keep.error.field('endsOn') ?? keep.error.message) : undefined}
          onChange={(event) => setDay(event.target.value)}
        />
        <Button type="submit" disabled={day === (privacy.endsOn ?? '')} busy={keep.isPending}>
          {m.privacy_save()}
        </Button>
        {privacy.endsOn != null && (
          <Button look="quiet" busy={keep.isPending} onClick={() => keep.mutate(null)}>
            {m.privacy_noEnd()}
          </Button>
        )}
      </div>
    </form>
  );
}

/** Typed once more, so that nobody goes by a slip. */
function Erase({ classId, student, onDone }: { classId: string; student: Person; onDone: () => void }) {
  const [name, setName] = useState('');
  const queries = useQueryClient();
  const { say } = useMessages();
  const erase = useMutation({
    mutationFn: () =>
      take(api.POST('/api/staff/students/{id}/erase', { params: { path: { id: student.id } }, body: { name } })),
    onSuccess: async () => {
      say(m.privacy_erased());
      onDone();
      await Promise.all(['privacy', 'class'].map((key) => queries.invalidateQueries({ queryKey: [key, classId] })));
    },
  });
  return (
    <form
      className="space-y-2 border-2 border-lost p-3"
      onSubmit={(event) => {
        event.preventDefault();
        erase.mutate();
      }}
    >
      <p className="text-sm">{m.privacy_eraseHint({ name: student.name })}</p>
      <Field
        label={m.privacy_typeName({ name: student.name })}
        value={name}
        autoComplete="off"
        error={isProblem(erase.error) ? (erase.error.field('name') ?? erase.error.message) : undefined}
        onChange={(event) => setName(event.target.value)}
      />
      <Button type="submit" disabled={name.trim() === ''} busy={erase.isPending} className="font-semibold text-lost">
        {m.privacy_erase({ name: student.name })}
      </Button>
    </form>
  );
}

interface Person {
  id: string;
  name: string;
  isFormer: boolean;
}

function OneStudent({ classId, people }: { classId: string; people: Person[] }) {
  const [chosen, setChosen] = useState<string | null>(null);
  const [isErasing, setErasing] = useState(false);
  const student = people.find((one) => one.id === chosen);
  return (
    <section className="space-y-2">
      <h3 className="text-lg">{m.privacy_student()}</h3>
      <p className="text-sm text-soft">{m.privacy_studentHint()}</p>
      <ChooseStudent
        label={m.privacy_find()}
        students={people.map(({ id, name, isFormer }) => ({ id, name: isFormer ? m.privacy_former({ name }) : name }))}
        chosen={chosen}
        onChoose={(id) => {
          setChosen(id);
          setErasing(false);
        }}
      />
      {student !== undefined && (
        <>
          <p className="flex flex-wrap items-center gap-4">
            <a className="underline" href={`/api/staff/students/${student.id}/everything`} download>
              {m.privacy_everything()}
            </a>
            {!isErasing && (
              <Button look="quiet" onClick={() => setErasing(true)}>
                {m.privacy_beginErase()}
              </Button>
            )}
          </p>
          {isErasing && <Erase key={student.id} classId={classId} student={student} onDone={() => setChosen(null)} />}
        </>
      )}
    </section>
  );
}

export function PrivacySheet({
  data,
  open,
  onClose,
}: {
  data: Schema['ClassView'];
  open: boolean;
  onClose: () => void;
}) {
  const privacy = useQuery({
    queryKey: ['privacy', data.id],
    enabled: open,
    queryFn: async () =>
      whole(await take(api.GET('/api/staff/classes/{id}/privacy', { params: { path: { id: data.id } } }))),
  });
  const people = [
    ...data.students.map(({ id, name }) => ({ id, name, isFormer: false })),
    ...(privacy.data?.former ?? []).map(({ id, name }) => ({ id, name, isFormer: true })),
  ];
  return (
    <Sheet open={open} onClose={onClose} title={m.privacy_title()}>
      {privacy.isError && <p className="font-semibold text-lost">{problemText(privacy.error)}</p>}
      {privacy.data !== undefined && (
        <div className="space-y-8">
          <KeepUntil classId={data.id} privacy={privacy.data} />
          <OneStudent classId={data.id} people={people} />
        </div>
      )}
    </Sheet>
  );
}
