// A teacher's account: name, language, password, devices.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take } from '../../api/client';
import { isProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/fields/Field';
import { useMessages } from '../../ui/page/messages';
import { Page } from '../../ui/page/Page';
import { Tick } from '../../ui/fields/Tick';
import { useCopy } from '../../ui/useCopy';
import { momentText } from '../../words/when';
import * as m from '#messages';

function Password() {
  const [now, setNow] = useState('');
  const [next, setNext] = useState('');
  const queries = useQueryClient();
  const { say } = useMessages();
  const change = useMutation({
    mutationFn: () => take(api.POST('/api/staff/password', { body: { now, next } })),
    onSuccess: () => {
      setNow('');
      setNext('');
      say(m.account_changed());
      void queries.invalidateQueries({ queryKey: ['devices'] });
    },
  });
  const problem = isProblem(change.error) ? change.error : undefined;
  return (
    <section aria-label={m.account_change()}>
      <h2 className="text-lg font-semibold">{m.account_change()}</h2>
      <form
        className="mt-3 max-w-sm border border-ink bg-sheet p-4"
        onSubmit={(event) => {
          event.preventDefault();
          change.mutate();
        }}
      >
        <Field
          label={m.account_passwordNow()}
          type="password"
          autoComplete="current-password"
          value={now}
          onChange={(event) => setNow(event.target.value)}
          error={problem?.field('now') ?? (problem?.errors.length === 0 ? problem.message : undefined)}
        />
        <Field
          className="mt-4"
          label={m.account_passwordNext()}
          hint={m.account_passwordHint()}
          type="password"
          autoComplete="new-password"
          value={next}
          onChange={(event) => setNext(event.target.value)}
          error={problem?.field('next')}
        />
        <Button look="main" type="submit" className="mt-5" busy={change.isPending}>
          {m.account_changeDo()}
        </Button>
      </form>
    </section>
  );
}

function Devices() {
  const queries = useQueryClient();
  const { say, fail } = useMessages();
  const devices = useQuery({ queryKey: ['devices'], queryFn: () => take(api.GET('/api/staff/devices')) });
  const others = devices.data?.filter((device) => !device.thisOne).length ?? 0;
  const out = useMutation({
    mutationFn: () => take(api.DELETE('/api/staff/devices')),
    onSuccess: () => say(m.account_outElsewhere()),
    onSettled: () => queries.invalidateQueries({ queryKey: ['devices'] }),
    onError: fail,
  });
  return (
    <section aria-label={m.account_devices()}>
      <h2 className="text-lg font-semibold">{m.account_devices()}</h2>
      <ul className="mt-3 border-y border-ink">
        {devices.data?.map((device) => (
          <li key={device.id} className="flex gap-4 border-b border-line px-1 py-2 last:border-0">
            <span>{m.account_since({ when: momentText(device.signedInAt) })}</span>
            {device.thisOne && <span className="font-semibold">{m.account_thisOne()}</span>}
          </li>
        ))}
      </ul>
      {others > 0 && (
        <Button className="mt-4" onClick={() => out.mutate()} busy={out.isPending}>
          {m.account_outOthers({ n: others })}
        </Button>
      )}
    </section>
  );
}

/** The teacher's lessons in a calendar of hers: whoever has the address sees them, and it can be renewed. */
function Calendar() {
  const queries = useQueryClient();
  const { say, fail } = useMessages();
  const copy = useCopy();
  const key = ['calendar'];
  const calendar = useQuery({ queryKey: key, queryFn: () => take(api.GET('/api/staff/calendar')) });
  const renew = useMutation({
    mutationFn: () => take(api.POST('/api/staff/calendar')),
    onSuccess: (fresh) => {
      queries.setQueryData(key, fresh);
      say(m.account_calendarRenewed());
    },
    onError: fail,
  });
  const [withRooms, setWithRooms] = useState(false);
  const address = calendar.data === undefined ? '' : `${calendar.data.address}${withRooms ? '?rooms=1' : ''}`;
  return (
    <section aria-label={m.account_calendar()}>
      <h2 className="text-lg font-semibold">{m.account_calendar()}</h2>
      <p className="mt-1 max-w-xl text-soft">{m.account_calendarLead()}</p>
      <div className="mt-3 flex max-w-xl flex-wrap items-end gap-3">
        <Field
          className="min-w-0 flex-1"
          label={m.account_calendarAddress()}
          readOnly
          value={address}
          onFocus={(event) => event.target.select()}
        />
        <Button onClick={() => copy(address, m.account_calendarCopied())}>{m.account_calendarCopy()}</Button>
        <Button look="quiet" busy={renew.isPending} onClick={() => renew.mutate()}>
          {m.account_calendarRenew()}
        </Button>
      </div>
      <div className="mt-2">
        <Tick label={m.account_calendarRooms()} checked={withRooms} onChange={setWithRooms} />
      </div>
    </section>
  );
}

/** A teacher’s own account: the password, the devices that are signed in, and the calendar. */
export function AccountPage() {
  const me = useQuery({ queryKey: ['me'], queryFn: () => take(api.GET('/api/staff/me')), staleTime: Infinity }).data;
  return (
    <Page title={m.account_own()}>
      <main className="mx-auto w-full max-w-5xl flex-1 px-5 py-8">
        <h1 className="text-3xl font-semibold wrap-anywhere">{me?.name}</h1>
        <p className="mt-1 mb-8 text-soft">{me?.email}</p>
        <div className="grid gap-10 md:grid-cols-2">
          <Password />
          <Devices />
        </div>
        <div className="mt-10">
          <Calendar />
        </div>
      </main>
    </Page>
  );
}
