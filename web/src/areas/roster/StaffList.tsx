// Who teaches a class beside its owner.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema } from '../../api/client';
import { isProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/fields/Choice';
import { Field } from '../../ui/fields/Field';
import { useMessages } from '../../ui/page/messages';
import * as m from '#messages';

type Role = Schema['StaffRole'];

function useStaff(classId: string) {
  const queries = useQueryClient();
  const { fail, say } = useMessages();
  const key = ['staff', classId];
  const path = { id: classId };
  const staff = useQuery({
    queryKey: key,
    queryFn: () => take(api.GET('/api/staff/classes/{id}/staff', { params: { path } })),
  });
  const invite = useMutation({
    mutationFn: (body: { email: string; role: Role }) =>
      take(api.POST('/api/staff/classes/{id}/staff', { params: { path }, body })),
    onSuccess: (now, { email }) => {
      queries.setQueryData(key, now);
      say(m.staff_sent({ email }));
    },
  });
  const remove = useMutation({
    mutationFn: (who: string) =>
      take(api.DELETE('/api/staff/classes/{id}/staff/{who}', { params: { path: { ...path, who } } })),
    onSuccess: (now) => queries.setQueryData(key, now),
    onError: fail,
  });
  return { staff, invite, remove };
}

function InviteForm({ invite, onSent }: { invite: ReturnType<typeof useStaff>['invite']; onSent: () => void }) {
  const [email, setEmail] = useState('');
  const [role, setRole] = useState<Role>('assistant');
  const problem = isProblem(invite.error) ? invite.error : undefined;
  return (
    <form
      className="mt-2 space-y-3 border border-ink bg-sheet p-4"
      onSubmit={(event) => {
        event.preventDefault();
        invite.mutate({ email, role }, { onSuccess: onSent });
      }}
    >
      <Field
        label={m.staff_address()}
        type="email"
        required
        value={email}
        error={problem?.message}
        onChange={(event) => setEmail(event.target.value)}
      />
      <Choice
        label={m.staff_as()}
        value={role}
        options={(['assistant', 'coTeacher'] as const).map((one) => ({
          value: one,
          label: m.staff_may({ key: one }),
        }))}
        onChange={setRole}
      />
      <Button type="submit" busy={invite.isPending}>
        {m.staff_send()}
      </Button>
    </form>
  );
}

/** @param props.onRemove undefined where whoever looks may not */
function StaffLine({ one, onRemove }: { one: Schema['StaffView']; onRemove: (() => void) | undefined }) {
  return (
    <li className="flex items-baseline gap-3 border-b border-line py-1">
      <span className="min-w-0 flex-1 wrap-anywhere">{one.name}</span>
      <span className="text-sm text-soft">
        {m.staff_roles({ key: one.role })}
        {one.teacher === null && `, ${m.staff_waiting()}`}
      </span>
      {onRemove !== undefined && (
        <Button look="quiet" className="text-sm" aria-label={m.staff_removeOf({ name: one.name })} onClick={onRemove}>
          {m.staff_remove()}
        </Button>
      )}
    </li>
  );
}

/** Who helps in the class, and who has been asked to. */
export function StaffList({ classId, mayChange }: { classId: string; mayChange: boolean }) {
  const { staff, invite, remove } = useStaff(classId);
  const [open, setOpen] = useState(false);
  return (
    <section aria-label={m.staff_title()}>
      <div className="flex items-baseline justify-between gap-3">
        <h2 className="text-lg font-semibold">{m.staff_title()}</h2>
        {mayChange && (
          <Button look="quiet" className="text-sm" onClick={() => setOpen(!open)} aria-expanded={open}>
            {m.staff_invite()}
          </Button>
        )}
      </div>
      {staff.data?.length === 0 && !open && <p className="mt-1 text-sm text-soft">{m.staff_none()}</p>}
      <ul className="mt-1">
        {staff.data?.map((one) => (
          <StaffLine
            key={one.teacher ?? one.name}
            one={one}
            onRemove={mayChange ? () => remove.mutate(one.teacher ?? one.name) : undefined}
          />
        ))}
      </ul>
      {open && <InviteForm invite={invite} onSent={() => setOpen(false)} />}
    </section>
  );
}
