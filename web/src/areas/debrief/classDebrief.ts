// What a class sees while its work is talked about, kept in step with the server.
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Schema, Whole } from '../../api/client';
import type { Message } from '../../api/stream/message';
import { pace } from '../../api/pace';
import type { StreamHandlers } from '../../api/stream/stream';

export type ClassDebrief = Whole<Schema['ClassDebrief']>;
type Heard = Message<'DebriefMessage'> | Message<'DebriefHint'> | { kind: string };

export const nothingYet: ClassDebrief = {
  revision: 0,
  report: null,
  shown: null,
  called: null,
  question: null,
  gallery: null,
};

/** A class that hears the same hint asks a little apart. */
const spread = 1_000;

const isNow = (message: Heard): message is Message<'DebriefMessage'> => message.kind === 'debriefNow';
const isHint = (message: Heard): message is Message<'DebriefHint'> => message.kind === 'debrief';

/**
 * Listens and asks: what is told whole is shown at once, what has been missed is asked for.
 *
 * @param ask    for what there is now
 * @param hear   the stream
 * @param lesson that the page is in; null: none
 */
export function useClassDebrief(
  ask: () => Promise<ClassDebrief>,
  hear: (handlers: StreamHandlers<Heard>) => () => void,
  lesson: string | null,
): ClassDebrief {
  const [shown, setShown] = useState<{ lesson: string | null; debrief: ClassDebrief }>({
    lesson,
    debrief: nothingYet,
  });
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const known = useRef({ lesson, revision: 0 });
  const put = useCallback(
    (debrief: ClassDebrief) => {
      if (known.current.lesson !== lesson) known.current = { lesson, revision: 0 };
      if (debrief.revision < known.current.revision) return; // an older answer
      known.current.revision = debrief.revision;
      setShown({ lesson, debrief });
    },
    [lesson],
  );
  const look = useCallback(() => {
    ask().then(put, () => undefined); // where it fails, the stream says when to ask again
  }, [ask, put]);
  useEffect(() => {
    if (lesson === null) return undefined;
    const lookSoon = () => {
      timer.current ??= setTimeout(
        () => {
          timer.current = undefined;
          look();
        },
        Math.random() * pace.wait(spread),
      );
    };
    look();
    const stop = hear({
      onMessage: (message) => {
        if (isNow(message) && (message.lesson ?? lesson) === lesson) put(message.debrief);
        if (isHint(message) && message.revision > known.current.revision) lookSoon();
      },
      onLookAgain: lookSoon,
    });
    return () => {
      stop();
      clearTimeout(timer.current);
      timer.current = undefined;
    };
  }, [lesson, look, hear, put]);
  return shown.lesson === lesson ? shown.debrief : nothingYet;
}
