import { api, take } from '../client';
import type { Message } from './message';
import { listen, type StreamHandlers } from './stream';

/** What a page of the teacher's hears; each says what it is about. */
export type StaffMessage =
  | Message<'LessonHint'>
  | Message<'DeskHint'>
  | Message<'AnswerMessage'>
  | Message<'ChangeMessage'>
  | Message<'MarginMessage'>;

const listeners = new Set<StreamHandlers<StaffMessage>>();
let stop: (() => void) | undefined;
let connected = true;

/** One stream for the whole window, whatever of it wants to hear. @returns how to stop hearing */
export function hear(handlers: StreamHandlers<StaffMessage>): () => void {
  listeners.add(handlers);
  const all = (tell: (one: StreamHandlers<StaffMessage>) => void) => [...listeners].forEach(tell);
  if (stop === undefined) {
    stop = listen<StaffMessage>(() => take(api.GET('/api/staff/stream')), {
      onMessage: (message) => all((one) => one.onMessage(message)),
      onLookAgain: () => all((one) => one.onLookAgain()),
      onConnected: (is) => {
        connected = is;
        all((one) => one.onConnected?.(is));
      },
    });
  } else {
    handlers.onConnected?.(connected);
  }
  return () => {
    listeners.delete(handlers);
    if (listeners.size === 0) {
      stop?.();
      stop = undefined;
      connected = true;
    }
  };
}
