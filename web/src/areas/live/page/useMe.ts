// The teacher who is signed in, from what the page already knows.
import { useQueryClient } from '@tanstack/react-query';
import type { Schema } from '../../../api/client';

/** @returns the teacher's id; '' where it is not known */
export function useMe(): string {
  return useQueryClient().getQueryData<Schema['Me']>(['me'])?.id ?? '';
}
