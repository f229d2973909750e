import { replaceEqualDeep, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { setServerNow } from '../../api/clock';
import { api, take, type Schema, type Whole } from '../../api/client';
import { hear } from '../../api/staffStream';
import { heard, isOfCopy, withMessage } from '../materials/answers';

type Lesson = Schema['LessonView'];
type Copy = Whole<Schema['CopyView']>;

const together = 120;
/** While students write, how far groups are is asked for so often. */
const followEvery = 2_500;
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

/**
 * A lesson, kept as it is on the server: over the stream, or by asking where there is no stream.
 *
 * @param segment whose round is to be shown; null: the one the lesson is in or comes to next
 */
export function useLesson(id: string, segment: string | null) {
  const queries = useQueryClient();
  const [connected, setConnected] = useState(true);
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
  const roundId = lesson.data?.round.id;
  useEffect(() => {
    if (roundId === undefined) return undefined;
    let soon: ReturnType<typeof setTimeout> | undefined;
    let follow: ReturnType<typeof setTimeout> | undefined;
    const key = { queryKey: ['lesson', id] };
    /** Asks until the lesson is as new as what was told of; what is being asked already may be new enough. */
    const catchUp = async (seq: number) => {
      const isBehind = () => seq > (queries.getQueryData<Lesson>(key.queryKey)?.seq ?? 0);
      if (seq !== Infinity && isBehind()) await queries.invalidateQueries(key, { cancelRefetch: false });
      if (isBehind()) await queries.invalidateQueries(key);
    };
    /** The last event of the lesson that was told of; infinite: something else that has no number. */
    let told = 0;
    const look = (seq = Infinity) => {
      told = Math.max(told, seq);
      // Hints that come together are one look, and what is known already is none.
      soon ??= setTimeout(() => {
        soon = undefined;
        void catchUp(told);
        told = 0;
      }, together);
    };
    const stop = hear({
      onMessage: (message) => {
        if (message.lesson !== id) return;
        if (!isOfCopy(message)) {
          look(message.kind === 'lesson' ? (message.seq ?? undefined) : undefined);
          return;
        }
        heard(message);
        follow ??= setTimeout(() => {
          follow = undefined;
          look();
        }, followEvery);
        const copies = queries.getQueryData<Copy[]>(['copies', roundId]);
        if (copies === undefined) return;
        const now = copies.map((copy) => withMessage(copy, message));
        queries.setQueryData<Copy[]>(
          ['copies', roundId],
          now.map((copy, i) => copy ?? copies[i]).filter((copy) => copy !== undefined),
        );
        if (now.includes(null)) void queries.invalidateQueries({ queryKey: ['copies', roundId] });
      },
      onLookAgain: () => {
        look();
        void queries.invalidateQueries({ queryKey: ['copies', roundId] });
      },
      onConnected: setConnected,
    });
    return () => {
      clearTimeout(soon);
      clearTimeout(follow);
      stop();
    };
  }, [roundId, id, queries]);
  return { lesson, connected };
}
