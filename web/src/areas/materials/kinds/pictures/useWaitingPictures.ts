// Pictures of students on their way to the server, kept until they are there.
import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { isPassing, problemText } from '../../../../api/problem';
import { freshId } from '../../blocks';
import type { MediaPlace } from '../../media';
import { isThrough, putAside, waitingAt, type WaitingPicture } from './waitingPictures';

const again = 5_000;

/**
 * Pictures on their way. With no line they stay on the device, are shown as waiting, and go one after the other as soon
 * as there is one, after a reload too; only what the server will not have is given up, with the reason.
 */
export function useWaitingPictures(
  at: string,
  put: MediaPlace['put'],
  onThrough: (picture: WaitingPicture, media: string) => void,
) {
  const [waiting, setWaiting] = useState<WaitingPicture[]>([]);
  const queue = useRef<WaitingPicture[]>([]);
  /** Those that are on their way from here, or through already. */
  const known = useRef(new Set<string>());
  const { send, trouble, setTrouble, isAway } = useQueue(queue, put, onThrough, setWaiting);
  useEffect(() => {
    let isOpen = true;
    void waitingAt(at).then((kept) => {
      if (!isOpen) return;
      queue.current = [...kept.filter((picture) => !known.current.has(picture.id)), ...queue.current];
      for (const picture of kept) known.current.add(picture.id);
      setWaiting(queue.current);
      void send();
    });
    const retry = () => void send();
    window.addEventListener('online', retry);
    const timer = setInterval(retry, again);
    return () => {
      isOpen = false;
      window.removeEventListener('online', retry);
      clearInterval(timer);
    };
  }, [at, send]);
  const add = async (contents: Promise<string>[]) => {
    setTrouble('');
    for (const content of contents) {
      const picture = { id: freshId('p'), at, content: await content };
      known.current.add(picture.id);
      await putAside(picture);
      queue.current = [...queue.current, picture];
      setWaiting(queue.current);
      void send();
    }
  };
  return { waiting, isAway, trouble, add };
}

/** Sends what stands in the queue, one after the other; what the server will not have is given up. */
function useQueue(
  queue: RefObject<WaitingPicture[]>,
  put: MediaPlace['put'],
  onThrough: (picture: WaitingPicture, media: string) => void,
  onQueue: (waiting: WaitingPicture[]) => void,
) {
  const [trouble, setTrouble] = useState('');
  const [isAway, setIsAway] = useState(false);
  const sending = useRef(false);
  const through = useRef(onThrough);
  useEffect(() => {
    through.current = onThrough;
  });

  const send = useCallback(async () => {
    if (put === undefined || sending.current) return;
    sending.current = true;
    try {
      for (let next = queue.current[0]; next !== undefined; next = queue.current[0]) {
        try {
          through.current(next, (await put(next.content)).id);
          setIsAway(false);
        } catch (error) {
          if (isPassing(error)) {
            setIsAway(true);
            return;
          }
          setTrouble(problemText(error));
        }
        await isThrough(next.id);
        queue.current = queue.current.slice(1);
        onQueue(queue.current);
      }
    } finally {
      sending.current = false;
    }
  }, [put, queue, onQueue]);
  return { send, trouble, setTrouble, isAway };
}
