import { useQuery } from '@tanstack/react-query';
import { api, take } from '../../../api/client';
import type { Desk, Settings } from './useDesk';

/** Why the tag that is held sits where it sits, and what each table would mean to it. */
export function useWhy(desk: Desk, settings: Settings, held: string | null) {
  return useQuery({
    queryKey: ['why', desk.id, desk.floor.step, held, settings.goals],
    queryFn: () =>
      take(
        api.POST('/api/staff/groupings/{id}/why', {
          params: { path: { id: desk.id } },
          body: { student: held ?? '', settings },
        }),
      ),
    enabled: held !== null,
  }).data;
}
