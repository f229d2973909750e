import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, type ReactNode } from 'react';
import { api, take } from '../../api/client';
import { isProblem, problemText } from '../../api/problem';
import { Button } from '../../ui/Button';
import { drawer } from '../../ui/drawer';
import * as m from '#messages';
import { SignIn } from './SignIn';

/** Shows its children to a teacher who is signed in, and the sign-in to anybody else. */
export function SignedIn({ children }: { children: ReactNode }) {
  const queries = useQueryClient();
  const me = useQuery({ queryKey: ['me'], queryFn: () => take(api.GET('/api/staff/me')), staleTime: Infinity });
  useEffect(() => {
    if (me.isSuccess) drawer('signedIn').save('yes');
  }, [me.isSuccess]);
  if (me.isSuccess) return children;
  if (me.isPending) return <p className="p-8 text-soft">{m.common_loading()}</p>;
  if (isProblem(me.error, 401)) return <SignIn onSignedIn={(teacher) => queries.setQueryData(['me'], teacher)} />;
  return (
    <div className="p-8">
      <p className="mb-4">{problemText(me.error)}</p>
      <Button onClick={() => void me.refetch()}>{m.next_retry()}</Button>
    </div>
  );
}
