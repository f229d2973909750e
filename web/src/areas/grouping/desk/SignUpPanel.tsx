// Students choose their table themselves: opened and closed here.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Field } from '../../../ui/fields/Field';
import { useMessages } from '../../../ui/page/messages';
import { timeText } from '../../../words/when';
import * as m from '#messages';
import type { Desk } from './useDesk';

/** While the tables are open: how many have chosen, and the press that closes them. */
function Open({ desk, closesAt, present }: { desk: Desk; closesAt: number | null; present: number }) {
  const { close } = useSignUp(desk);
  const taken = desk.floor.groups.reduce((sum, group) => sum + group.students.length, 0);
  return (
    <div className="space-y-3">
      <p className="font-semibold" role="status">
        {m.desk_signUpOn({ taken, all: present })}
        {closesAt !== null && <> · {m.desk_signUpUntil({ time: timeText(closesAt) })}</>}
      </p>
      <Button look="main" className="w-full" onClick={() => close.mutate()} busy={close.isPending}>
        {m.desk_signUpClose()}
      </Button>
    </div>
  );
}

function useSignUp(desk: Desk) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const path = { params: { path: { id: desk.id } } };
  const done = { onSuccess: (fresh: Desk) => queries.setQueryData(['desk', desk.id], fresh), onError: fail };
  const open = useMutation({
    mutationFn: (body: { seats: number; minutes: number | null }) =>
      take(api.POST('/api/staff/groupings/{id}/sign-up', { ...path, body })),
    ...done,
  });
  const close = useMutation({
    mutationFn: () => take(api.DELETE('/api/staff/groupings/{id}/sign-up', path)),
    ...done,
  });
  return { open, close };
}

/** Opens the tables to the students, and closes them again. */
export function SignUpPanel({ desk, present }: { desk: Desk; present: number }) {
  const { open } = useSignUp(desk);
  const tables = desk.floor.groups.length;
  const [seats, setSeats] = useState<string>();
  const [minutes, setMinutes] = useState('');
  const usual = Math.max(2, Math.ceil(present / Math.max(1, tables)));
  if (desk.signUp !== null) return <Open desk={desk} closesAt={desk.signUp.closesAt} present={present} />;
  return (
    <div className="space-y-3">
      <div className="grid grid-cols-2 items-end gap-3">
        <Field
          label={m.desk_signUpSeats()}
          type="number"
          min={2}
          max={40}
          value={seats ?? usual}
          onChange={(event) => setSeats(event.target.value)}
        />
        <Field
          label={m.desk_signUpMinutes()}
          type="number"
          min={1}
          max={600}
          value={minutes}
          onChange={(event) => setMinutes(event.target.value)}
        />
      </div>
      <Button
        look="main"
        className="w-full"
        disabled={tables === 0}
        onClick={() => open.mutate({ seats: Number(seats ?? usual), minutes: minutes === '' ? null : Number(minutes) })}
        busy={open.isPending}
      >
        {m.desk_signUpOpen({ n: present })}
      </Button>
      <p className="text-sm text-soft">{m.desk_signUpLesson()}</p>
    </div>
  );
}
