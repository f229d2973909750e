// The lesson a page shows, kept as new as it is on the server.
import { replaceEqualDeep, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { setServerNow } from '../../api/clock';
import { api, take, type Schema, type Whole } from '../../api/client';
import { hear } from '../../api/stream/staffStream';
import { heard, isOfCopy, withMessage } from '../materials/answers';
import { Follower } from './page/follower';

type Lesson = Schema['LessonView'];
type Copy = Whole<Schema['CopyView']>;
type CopyMessage = Parameters<typeof withMessage>[1];

/** While the page is open the lesson is on, also where nothing happens. */
const stillHere = 300_000;

/** Keeps the same object if only the server's time has changed, so that nothing is rendered again. */
function onlyWhatChanged(before: unknown, fresh: unknown): unknown {
  const was = before as Lesson | undefined;
  if (was === undefined) return fresh;
  const merged = replaceEqualDeep(was, fresh as Lesson);
  const keys = Object.keys(merged) as (keyof Lesson)[];
  return keys.every((key) => key === 'serverNow' || merged[key] === was[key]) ? was : merged;
}

type Queries = ReturnType<typeof useQueryClient>;

/** Puts what was written into the copies that are shown; asks for them anew where that is not enough. */
function putIntoCopies(queries: Queries, roundId: string, message: CopyMessage) {
  const copies = queries.getQueryData<Copy[]>(['copies', roundId]);
  if (copies === undefined) return;
  const now = copies.map((copy) => withMessage(copy, message));
  queries.setQueryData<Copy[]>(
    ['copies', roundId],
    now.map((copy, i) => copy ?? copies[i]).filter((copy) => copy !== undefined),
  );
  if (now.includes(null)) void queries.invalidateQueries({ queryKey: ['copies', roundId] });
}

/** Follows the stream while a round is shown. @returns whether there is a stream */
function useFollowing(id: string, roundId: string | undefined): boolean {
  const queries = useQueryClient();
  const [connected, setConnected] = useState(true);
  useEffect(() => {
    if (roundId === undefined) return undefined;
    const follower = new Follower(queries, id);
    const stop = hear({
      onMessage: (message) => {
        if (message.lesson !== id) return;
        if (message.kind === 'debrief' || message.kind === 'caption' || message.kind === 'recording') return; // heard elsewhere
        if (!isOfCopy(message)) {
          follower.look(message.kind === 'lesson' ? (message.seq ?? undefined) : undefined);
          return;
        }
        heard(message);
        follower.lookLater(roundId);
        putIntoCopies(queries, roundId, message);
      },
      onLookAgain: () => {
        follower.look();
        void queries.invalidateQueries({ queryKey: ['copies', roundId] });
      },
      onConnected: setConnected,
    });
    return () => {
      follower.stop();
      stop();
    };
  }, [roundId, id, queries]);
  return connected;
}

/**
 * A lesson, kept as it is on the server: over the stream, or by asking where there is no stream.
 *
 * @param segment whose round is to be shown; null: the one the lesson is in or comes to next
 */
export function useLesson(id: string, segment: string | null) {
  const queries = useQueryClient();
  const shown = useRef(segment);
  const lesson = useQuery({
    queryKey: ['lesson', id],
    queryFn: async () => {
      const data = await take(
        shown.current === null
          ? api.GET('/api/staff/lessons/{id}', { params: { path: { id } } })
          : api.GET('/api/staff/lessons/{id}/segments/{segment}', { params: { path: { id, segment: shown.current } } }),
      );
      setServerNow(data.serverNow);
      return data;
    },
    refetchInterval: stillHere,
    structuralSharing: onlyWhatChanged,
  });
  useEffect(() => {
    if (shown.current === segment) return;
    shown.current = segment;
    void queries.invalidateQueries({ queryKey: ['lesson', id] });
  }, [segment, id, queries]);
  return { lesson, connected: useFollowing(id, lesson.data?.round.id) };
}
