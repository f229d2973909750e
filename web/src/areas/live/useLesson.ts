import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { setServerNow } from '../../api/clock';
import { api, take, type Schema } from '../../api/client';
import { listen } from '../../api/stream';

type Answer = Schema['AnswerView'];
type Copy = Schema['CopyView'];
type Message = { kind: 'lesson' } | { kind: 'answer'; copy: string; answer: Answer };

const together = 120;

/** Puts an answer that came over the stream into the copies at hand; an older one than ours is passed over. */
export function withAnswer(copies: Copy[] | undefined, copyId: string, answer: Answer): Copy[] | undefined {
  return copies?.map((copy) => {
    if (copy.id !== copyId) return copy;
    const same = (one: Answer) => one.slot === answer.slot && one.owner === answer.owner;
    const old = copy.answers.find(same);
    if (old !== undefined && old.revision >= answer.revision) return copy;
    return { ...copy, answers: [...copy.answers.filter((one) => !same(one)), answer] };
  });
}

/** A lesson, kept as it is on the server: over the stream, or by asking where there is no stream. */
export function useLesson(id: string) {
  const queries = useQueryClient();
  const [connected, setConnected] = useState(true);
  const lesson = useQuery({
    queryKey: ['lesson', id],
    queryFn: async () => {
      const data = await take(api.GET('/api/staff/lessons/{id}', { params: { path: { id } } }));
      setServerNow(data.serverNow);
      return data;
    },
  });
  const stream = lesson.data?.stream;
  const roundId = lesson.data?.round.id;
  useEffect(() => {
    if (stream === undefined || roundId === undefined) return undefined;
    let soon: ReturnType<typeof setTimeout> | undefined;
    const look = () => {
      // Hints that come together are one look.
      soon ??= setTimeout(() => {
        soon = undefined;
        void queries.invalidateQueries({ queryKey: ['lesson', id] });
      }, together);
    };
    const stop = listen<Message>(stream, {
      onMessage: (message) => {
        if (message.kind === 'answer') {
          queries.setQueryData<Copy[]>(['copies', roundId], (old) => withAnswer(old, message.copy, message.answer));
        } else {
          look();
        }
      },
      onLookAgain: () => {
        look();
        void queries.invalidateQueries({ queryKey: ['copies', roundId] });
      },
      onConnected: setConnected,
    });
    return () => {
      clearTimeout(soon);
      stop();
    };
  }, [stream, roundId, id, queries]);
  return { lesson, connected };
}
