// What a student's page knows, and how it is kept in step.
import { useCallback, useEffect, useRef, useState, type Dispatch, type SetStateAction } from 'react';
import { setServerNow } from '../../../api/clock';
import { api, take, whole, type Schema, type Whole } from '../../../api/client';
import { pace } from '../../../api/pace';
import { isProblem } from '../../../api/problem';
import { hear } from '../../../api/stream/studentStream';
import { asked, heard, isOfCopy, withMessage, type AnswerMessage } from '../../materials/answers';
import { Hearing, isNews, withNews } from './news';

type Now = Schema['StudentNow'];
type Copy = Whole<Schema['CopyView']>;

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

/** What the page knows of the lesson's events: what is told is compared with it. */
class Known {
  private seq = 0;
  private lesson: string | null = null;

  learn(now: Pick<Now, 'seq' | 'lesson'>) {
    this.seq = now.seq;
    this.lesson = now.lesson;
  }

  /** A lesson the page does not know of yet: its numbers are not to be compared with ours. */
  isOther(lesson: string | null | undefined): boolean {
    return lesson !== undefined && lesson !== this.lesson;
  }

  /** @returns whether this event is newer than all that is known */
  hear(seq: number): boolean {
    const isNew = seq > this.seq;
    if (isNew) this.seq = seq;
    return isNew;
  }

  isBehind(seq: number): boolean {
    return seq > this.seq;
  }
}

type SetState = Dispatch<SetStateAction<StudentState>>;

/** Copies, asked for anew; none where the line is down: those that are shown stay. */
const fetchCopies = (ids: string[]): Promise<Copy[]> =>
  asked(() =>
    Promise.all(
      ids.map(async (id) => whole(await take(api.GET('/api/student/copies/{id}', { params: { path: { id } } })))),
    ),
  ).catch(() => []);

/** Asks for all the page knows: at once (`look`), or a little later, as all others do at the same moment (`lookSoon`). */
function useLook(known: Known, hearing: Hearing, setState: SetState) {
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const look = useCallback(() => {
    const ask = async (): Promise<void> => {
      try {
        const now = await hearing.asked(async () => {
          const answer = await take(api.GET('/api/student/now'));
          setServerNow(answer.serverNow);
          return answer;
        });
        if (now === null) return;
        known.learn(now);
        const ids = [...(now.group?.copies ?? []), ...now.alone].map((one) => one.id);
        const fetched = await fetchCopies(ids);
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
  }, [known, hearing, setState]);
  const lookSoon = useCallback(() => {
    timer.current ??= setTimeout(
      () => {
        timer.current = undefined;
        look();
      },
      Math.random() * pace.wait(spread),
    );
  }, [look]);
  useEffect(() => () => clearTimeout(timer.current), []);
  return { look, lookSoon };
}

/** What is written goes into the copies that are shown. */
function putIntoCopies(message: AnswerMessage, setState: SetState, lookSoon: () => void) {
  heard(message);
  setState((old) => {
    const copies = old.copies.map((copy) => withMessage(copy, message));
    if (copies.includes(null)) lookSoon();
    return { ...old, copies: copies.map((copy, i) => copy ?? old.copies[i]).filter((one) => one !== undefined) };
  });
}

/** Listens while the device has a name. */
function useStream(
  inside: boolean,
  known: Known,
  hearing: Hearing,
  setState: SetState,
  { look, lookSoon }: ReturnType<typeof useLook>,
) {
  useEffect(() => {
    if (!inside) return undefined;
    return hear({
      onMessage: (message) => {
        if (known.isOther(message.lesson) || message.kind === 'refresh') {
          if (message.kind === 'refresh' && message.now) look();
          else lookSoon();
          return;
        }
        if (isOfCopy(message)) {
          putIntoCopies(message, setState, lookSoon);
          return;
        }
        if (!isNews(message)) {
          // For another part of the page, which has heard it, too.
          if (message.seq !== null) known.hear(message.seq);
          return;
        }
        hearing.hear(message);
        setState((old) => (old.now === null ? old : { ...old, now: withNews(old.now, message) }));
        if (message.kind === 'notice') known.hear(message.notice.seq);
        if (message.kind === 'round' && known.hear(message.seq)) lookSoon();
      },
      onLookAgain: lookSoon,
      onConnected: (connected) => setState((old) => ({ ...old, connected })),
    });
  }, [inside, known, hearing, setState, look, lookSoon]);
}

/** A sign of life now and then, which also tells whether something was missed. */
function useSigns(outside: boolean, known: Known, setState: SetState, look: () => void) {
  useEffect(() => {
    if (outside) return undefined;
    let sign: ReturnType<typeof setTimeout> | undefined;
    const signLater = () => {
      sign = setTimeout(signNow, pace.wait(signEvery));
    };
    const compare = (answer: Schema['SignAnswer']) => {
      setServerNow(answer.serverNow);
      if (known.isOther(answer.lesson) || known.isBehind(answer.seq)) {
        look();
        return;
      }
      setState((old) =>
        old.now === null || old.now.seenIn === answer.seenIn
          ? old
          : { ...old, now: { ...old.now, seenIn: answer.seenIn } },
      );
    };
    const signNow = () => {
      signLater();
      take(api.POST('/api/student/sign')).then(compare, (problem: unknown) => {
        if (isProblem(problem, 401)) look();
      });
    };
    signLater();
    return () => clearTimeout(sign);
  }, [look, outside, known, setState]);
}

/** All a student's page knows, kept in step with the server. */
export function useNow(isOutside = false): StudentState & { look: () => void } {
  const [state, setState] = useState<StudentState>({ now: null, copies: [], outside: isOutside, connected: true });
  const [known] = useState(() => new Known());
  const [hearing] = useState(() => new Hearing());
  const looks = useLook(known, hearing, setState);
  const { look } = looks;
  useEffect(() => {
    if (!isOutside) look();
  }, [look, isOutside]);
  useStream(state.now !== null && !state.outside, known, hearing, setState, looks);
  useSigns(state.outside, known, setState, look);
  return { ...state, look };
}
