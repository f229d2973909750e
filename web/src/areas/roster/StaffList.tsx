import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema } from '../../api/client';
import { isProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { useMessages } from '../../ui/messages';
import { words } from '../../words';

type Role = Schema['StaffRole'];

/** Who helps in the class, and who has been asked to. */
export function StaffList({ classId, mayChange }: { classId: string; mayChange: boolean }) {
  const queries = useQueryClient();
  const { fail, say } = useMessages();
  const [email, setEmail] = useState('');
  const [role, setRole] = useState<Role>('assistant');
  const [open, setOpen] = useState(false);
  const key = ['staff', classId];
  const path = { id: classId };
  const staff = useQuery({
    queryKey: key,
    queryFn: () => take(api.GET('/api/staff/classes/{id}/staff', { params: { path } })),
  });
  const invite = useMutation({
    mutationFn: () => take(api.POST('/api/staff/classes/{id}/staff', { params: { path }, body: { email, role } })),
    onSuccess: (now) => {
      queries.setQueryData(key, now);
      say(words.staff.sent(email));
      setEmail('');
      setOpen(false);
    },
  });
  const remove = useMutation({
    mutationFn: (who: string) =>
      take(api.DELETE('/api/staff/classes/{id}/staff/{who}', { params: { path: { ...path, who } } })),
    onSuccess: (now) => queries.setQueryData(key, now),
    onError: fail,
  });
  const problem = isProblem(invite.error) ? invite.error : undefined;
  return (
    <section aria-label={words.staff.title}>
      <div className="flex items-baseline justify-between gap-3">
        <h2 className="text-lg font-semibold">{words.staff.title}</h2>
        {mayChange && (
          <Button look="quiet" className="text-sm" onClick={() => setOpen(!open)} aria-expanded={open}>
            {words.staff.invite}
          </Button>
        )}
      </div>
      {staff.data?.length === 0 && !open && <p className="mt-1 text-sm text-soft">{words.staff.none}</p>}
      <ul className="mt-1">
        {staff.data?.map((one) => (
          <li key={one.teacher ?? one.name} className="flex items-baseline gap-3 border-b border-line py-1">
            <span className="min-w-0 flex-1 wrap-anywhere">{one.name}</span>
            <span className="text-sm text-soft">
              {words.staff.roles[one.role]}
              {one.teacher === null && `, ${words.staff.waiting}`}
            </span>
            {mayChange && (
              <Button
                look="quiet"
                className="text-sm"
                aria-label={words.staff.removeOf(one.name)}
                onClick={() => remove.mutate(one.teacher ?? one.name)}
              >
                {words.staff.remove}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {open && (
        <form
          className="mt-2 space-y-3 border border-ink bg-sheet p-4"
          onSubmit={(event) => {
            event.preventDefault();
            invite.mutate();
          }}
        >
          <Field
            label={words.staff.address}
            type="email"
            required
            value={email}
            error={problem?.message}
            onChange={(event) => setEmail(event.target.value)}
          />
          <Choice
            label={words.staff.as}
            value={role}
            options={(['assistant', 'coTeacher'] as const).map((one) => ({ value: one, label: words.staff.may[one] }))}
            onChange={setRole}
          />
          <Button type="submit" busy={invite.isPending}>
            {words.staff.send}
          </Button>
        </form>
      )}
    </section>
  );
}
