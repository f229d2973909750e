import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api, take } from '../../api/client';
import { problemText } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/fields/Field';
import * as m from '#messages';
import { DoneOutside, OutsideSheet, useSend } from '../account/Outside';

/** Somebody has been asked to help in a class. */
export function InvitationPage() {
  const { token = '' } = useParams();
  const path = { params: { path: { token } } };
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const invitation = useQuery({
    queryKey: ['invitation', token],
    queryFn: () => take(api.GET('/api/account/invitations/{token}', path)),
    retry: false,
  });
  const known = invitation.data?.known === true;
  const { busy, done, problem, go } = useSend(() =>
    take(api.POST('/api/account/invitations/{token}', { ...path, body: known ? {} : { name, password } })),
  );
  if (invitation.isPending) return <p className="p-8 text-soft">{m.common_loading()}</p>;
  if (invitation.isError)
    return (
      <OutsideSheet title={m.staff_invitation()}>
        <p className="font-semibold text-lost">{problemText(invitation.error)}</p>
      </OutsideSheet>
    );
  const { className, invitedBy, role, email } = invitation.data;
  return (
    <OutsideSheet title={m.staff_asked({ by: invitedBy, className, role })} onSubmit={go}>
      {done ? (
        <DoneOutside text={m.staff_accepted()} />
      ) : (
        <>
          <p className="mb-4 text-soft">{known ? m.staff_known({ email }) : m.staff_unknown({ email })}</p>
          {!known && (
            <div className="space-y-4">
              <Field
                label={m.staff_name()}
                autoComplete="name"
                required
                value={name}
                error={problem?.field('name')}
                onChange={(event) => setName(event.target.value)}
              />
              <Field
                label={m.account_password()}
                hint={m.account_passwordHint()}
                type="password"
                autoComplete="new-password"
                required
                value={password}
                error={problem?.field('password')}
                onChange={(event) => setPassword(event.target.value)}
              />
            </div>
          )}
          {problem?.errors.length === 0 && <p className="mt-3 font-semibold text-lost">{problem.message}</p>}
          <Button look="main" type="submit" className="mt-6 w-full" busy={busy}>
            {m.staff_accept()}
          </Button>
        </>
      )}
    </OutsideSheet>
  );
}
