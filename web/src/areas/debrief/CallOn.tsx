// Calls on a student, fairly.
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/fields/Choice';
import { Tick } from '../../ui/fields/Tick';
import { useKeys } from '../../ui/keys/useKeys';
import * as m from '#messages';
import type { Schema } from '../../api/client';
import { useCallOn, useDebrief, useMarkCall } from './useDebrief';

/** Who can be called on: anyone, a group, or the students with a role. */
type From = '' | `group:${string}` | `role:${string}`;

type Call = Schema['DebriefView']['calls'][number];

/** Who is called on now, and what came of it. */
function Called({ lesson, call }: { lesson: Schema['LessonView']; call: Call }) {
  const mark = useMarkCall(lesson.id);
  const group = lesson.floor.groups.find(({ students }) => students.includes(call.student));
  return (
    <div className="mb-2 border-2 border-ink bg-sheet p-3" role="status">
      <p className="font-head text-3xl leading-tight font-semibold wrap-anywhere">{call.name}</p>
      {group !== undefined && <p className="text-sm text-soft">{group.name}</p>}
      <div className="mt-2 flex gap-2">
        <Button className="flex-1" onClick={() => mark.mutate({ call: call.id, state: 'answered' })}>
          {m.debrief_answered()}
        </Button>
        <Button className="flex-1" onClick={() => mark.mutate({ call: call.id, state: 'passed' })}>
          {m.debrief_passed()}
        </Button>
      </div>
    </div>
  );
}

export function CallOn({ lesson }: { lesson: Schema['LessonView'] }) {
  const debrief = useDebrief(lesson);
  const callOn = useCallOn(lesson.id);
  const [from, setFrom] = useState<From>('');
  /** Whether every screen shows the name; null: as before. */
  const [shown, setShown] = useState<boolean | null>(null);
  const last = debrief?.calls.length ?? 0;
  const press = () =>
    callOn.mutate({
      last,
      ...(shown === null ? {} : { shown }),
      ...(from.startsWith('group:') ? { group: from.slice('group:'.length) } : {}),
      ...(from.startsWith('role:') ? { role: from.slice('role:'.length) } : {}),
    });
  useKeys({ c: press });
  if (debrief === undefined) return null;
  const now = debrief.calls.find((call) => call.current);
  const before = debrief.calls.filter((call) => !call.current && call.state !== 'passed').length;
  return (
    <section aria-label={m.debrief_callOn()} className="border-t-2 border-ink pt-1.5">
      <h2 className="mb-1 font-sans text-sm font-semibold text-soft">{m.debrief_callOn()}</h2>
      {now !== undefined && <Called lesson={lesson} call={now} />}
      <div className="flex flex-col gap-2">
        <Button className="min-h-11 border-2 font-semibold" busy={callOn.isPending} onClick={press}>
          {now === undefined && before === 0 ? m.debrief_callSomeone() : m.debrief_callNext()}
        </Button>
        <Choice
          label={m.debrief_callFrom()}
          hidden
          className="text-sm"
          value={from}
          options={[
            { value: '', label: m.debrief_fromAll() },
            ...debrief.roles.map((role) => ({ value: `role:${role}` as From, label: m.debrief_fromRole({ role }) })),
            ...lesson.floor.groups.map((one) => ({ value: `group:${one.id}` as From, label: one.name })),
          ]}
          onChange={setFrom}
        />
      </div>
      <div className="mt-2 text-sm">
        <Tick label={m.debrief_showCalled()} checked={shown ?? debrief.showsCalled} onChange={setShown} />
      </div>
      {before > 0 && <p className="mt-1 text-sm text-soft">{m.debrief_calledSoFar({ n: before })}</p>}
    </section>
  );
}
