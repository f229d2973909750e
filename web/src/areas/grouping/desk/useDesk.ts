// The grouping desk, kept as it is on the server.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { setServerNow } from '../../../api/clock';
import { api, take, type Schema } from '../../../api/client';
import { hear } from '../../../api/stream/staffStream';
import { useMessages } from '../../../ui/page/messages';

export type Desk = Schema['DeskView'];
export type Settings = Required<Schema['DeskSettings']>;
export type Goal = Schema['DeskGoal'];

const together = 150;

/** The grouping desk, kept as it is on the server. */
export function useDesk(id: string) {
  const queries = useQueryClient();
  const desk = useQuery({
    queryKey: ['desk', id],
    queryFn: async () => {
      const data = await take(api.GET('/api/staff/groupings/{id}', { params: { path: { id } } }));
      setServerNow(data.serverNow);
      return data;
    },
  });
  useEffect(() => {
    let soon: ReturnType<typeof setTimeout> | undefined;
    const look = () => {
      soon ??= setTimeout(() => {
        soon = undefined;
        void queries.invalidateQueries({ queryKey: ['desk', id] });
      }, together);
    };
    const stop = hear({ onMessage: (message) => message.grouping === id && look(), onLookAgain: look });
    return () => {
      clearTimeout(soon);
      stop();
    };
  }, [id, queries]);
  return desk;
}

/** Changes how the desk is set; what was chosen is seen at once. */
export function useSetDesk(id: string) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  return useMutation({
    mutationFn: (body: Schema['SetGrouping']) =>
      take(api.PATCH('/api/staff/groupings/{id}', { params: { path: { id } }, body })),
    onMutate: async (body) => {
      const cancelled = queries.cancelQueries({ queryKey: ['desk', id] });
      queries.setQueryData<Desk>(['desk', id], (old) =>
        old === undefined
          ? old
          : {
              ...old,
              name: body.name ?? old.name,
              settings: body.settings ?? old.settings,
              numbers: body.numbers ?? old.numbers,
              groupNames: body.groupNames ?? old.groupNames,
            },
      );
      await cancelled;
    },
    onSuccess: (fresh) => queries.setQueryData(['desk', id], fresh),
    onError: (error) => {
      fail(error);
      void queries.invalidateQueries({ queryKey: ['desk', id] });
    },
  });
}

/** Settings with nothing left out. */
export function whole(settings: Schema['DeskSettings']): Settings {
  return {
    method: settings.method ?? 'deal',
    shape: settings.shape ?? 'groups',
    groups: settings.groups ?? 6,
    size: settings.size ?? 4,
    remainder: settings.remainder ?? 'spread',
    sizes: settings.sizes ?? [],
    rounds: settings.rounds ?? 3,
    goals: settings.goals ?? [],
    topics: settings.topics ?? [],
  };
}
