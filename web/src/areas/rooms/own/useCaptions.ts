// What is said in a room, in words, as the staff type it.
import { useEffect, useState } from 'react';
import type { Schema } from '../../../api/client';
import type { Message } from '../../../api/stream/message';
import type { StreamHandlers } from '../../../api/stream/stream';

export type Caption = Schema['CaptionView'];

/** So many lines are kept. */
const most = 30;

/** @returns both together, each line once, the oldest first */
export const together = (lines: readonly Caption[], more: readonly Caption[]): Caption[] =>
  [...new Map([...lines, ...more].map((line) => [line.id, line])).values()].sort((a, b) => a.id - b.id).slice(-most);

type Heard = Message<'CaptionMessage'> | { kind: string };
const isCaption = (message: Heard): message is Message<'CaptionMessage'> => message.kind === 'caption';

/**
 * The last lines of a room, kept in step.
 *
 * @param ask  for those of a place
 * @param hear the stream
 */
export function useCaptions(
  place: string,
  ask: (place: string) => Promise<Caption[]>,
  hear: (handlers: StreamHandlers<Heard>) => () => void,
): Caption[] {
  const [shown, setShown] = useState<{ place: string; lines: Caption[] }>({ place, lines: [] });
  useEffect(() => {
    let isOver = false;
    const add = (lines: Caption[]) => {
      if (isOver) return;
      setShown((old) => ({ place, lines: together(old.place === place ? old.lines : [], lines) }));
    };
    const look = () => {
      ask(place).then(add, () => undefined); // where it fails, the stream says when to ask again
    };
    look();
    const stop = hear({
      onMessage: (message) => {
        if (isCaption(message) && message.place === place) add([message.caption]);
      },
      onLookAgain: look,
    });
    return () => {
      isOver = true;
      stop();
    };
  }, [place, ask, hear]);
  return shown.place === place ? shown.lines : [];
}
