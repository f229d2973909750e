import { useCallback, useEffect, useRef, useState } from 'react';
import { setServerNow } from '../../../api/clock';
import { api, take, whole, type Schema, type Whole } from '../../../api/client';
import type { Message } from '../../../api/message';
import { pace } from '../../../api/pace';
import { isProblem } from '../../../api/problem';
import { listen } from '../../../api/stream';
import { asked, heard, withMessage, type AnswerMessage } from '../../materials/answers';
import { Hearing, withNews, type News } from './news';

type Now = Schema['StudentNow'];
type Copy = Whole<Schema['CopyView']>;

type Heard = News | Message<'RefreshHint'> | AnswerMessage;

const signEvery = 15_000;
const retryAfter = 3_000;
/** A class that hears the same hint asks a little apart. */
const spread = 2_000;

export interface StudentState {
  now: Now | null;
  /** What there is to work on, in order. */
  copies: Copy[];
  /** No device of ours has a name: choose one. */
  outside: boolean;
  connected: boolean;
}

/** All a student's page knows, kept in step with the server. */
export function useNow(isOutside = false): StudentState & { look: () => void } {
  const [state, setState] = useState<StudentState>({ now: null, copies: [], outside: isOutside, connected: true });
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const seq = useRef(0);
  const lesson = useRef<string | null>(null);
  const [hearing] = useState(() => new Hearing());

  const look = useCallback(() => {
    const ask = async (): Promise<void> => {
      try {
        const now = await hearing.asked(async () => {
          const answer = await take(api.GET('/api/student/now'));
          setServerNow(answer.serverNow);
          return answer;
        });
        if (now === null) return;
        seq.current = now.seq;
        lesson.current = now.lesson;
        const ids = [...(now.group?.copies ?? []), ...now.alone].map((one) => one.id);
        const fetched = await asked(() =>
          Promise.all(
            ids.map(async (id) => whole(await take(api.GET('/api/student/copies/{id}', { params: { path: { id } } })))),
          ),
        ).catch(() => []);
        setState((old) => {
          const copies = ids.map(
            (id) => fetched.find((one) => one.id === id) ?? old.copies.find((one) => one.id === id),
          );
          return { ...old, now, copies: copies.filter((one) => one !== undefined), outside: false };
        });
      } catch (problem) {
        if (isProblem(problem, 401)) setState((old) => ({ ...old, now: null, copies: [], outside: true }));
        else timer.current ??= setTimeout(again, retryAfter);
      }
    };
    const again = () => {
      timer.current = undefined;
      void ask();
    };
    void ask();
  }, [hearing]);

  const lookSoon = useCallback(() => {
    timer.current ??= setTimeout(
      () => {
        timer.current = undefined;
        look();
      },
      Math.random() * pace.wait(spread),
    );
  }, [look]);

  useEffect(() => {
    if (!isOutside) look();
    return () => clearTimeout(timer.current);
  }, [look, isOutside]);

  const { outside } = state;
  const inside = state.now !== null && !outside;
  useEffect(() => {
    if (!inside) return undefined;
    return listen<Heard>(() => take(api.GET('/api/student/stream')), {
      onMessage: (message) => {
        // A lesson we do not know of yet: its numbers are not to be compared with ours.
        if (message.lesson !== undefined && message.lesson !== lesson.current) {
          lookSoon();
          return;
        }
        if (message.kind === 'refresh') {
          lookSoon();
          return;
        }
        if (message.kind === 'answer' || message.kind === 'change' || message.kind === 'margin') {
          heard(message);
          setState((old) => {
            const copies = old.copies.map((copy) => withMessage(copy, message));
            if (copies.includes(null)) lookSoon();
            return {
              ...old,
              copies: copies.map((copy, i) => copy ?? old.copies[i]).filter((one) => one !== undefined),
            };
          });
          return;
        }
        hearing.hear(message);
        setState((old) => (old.now === null ? old : { ...old, now: withNews(old.now, message) }));
        if (message.kind === 'notice') seq.current = Math.max(seq.current, message.notice.seq);
        if (message.kind === 'round' && message.seq > seq.current) {
          seq.current = message.seq;
          lookSoon();
        }
      },
      onLookAgain: lookSoon,
      onConnected: (connected) => setState((old) => ({ ...old, connected })),
    });
  }, [inside, lookSoon, hearing]);

  // A sign of life, which also tells whether something was missed.
  useEffect(() => {
    if (outside) return undefined;
    let sign: ReturnType<typeof setTimeout> | undefined;
    const signLater = () => {
      sign = setTimeout(signNow, pace.wait(signEvery));
    };
    const signNow = () => {
      signLater();
      take(api.POST('/api/student/sign')).then(
        (answer) => {
          setServerNow(answer.serverNow);
          if (answer.lesson !== lesson.current || answer.seq > seq.current) look();
          else
            setState((old) =>
              old.now === null || old.now.seenIn === answer.seenIn
                ? old
                : { ...old, now: { ...old.now, seenIn: answer.seenIn } },
            );
        },
        (problem: unknown) => {
          if (isProblem(problem, 401)) look();
        },
      );
    };
    signLater();
    return () => clearTimeout(sign);
  }, [look, outside]);

  return { ...state, look };
}
