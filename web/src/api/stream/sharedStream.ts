// One stream for a whole window, whatever of it wants to hear.
import { listen, type StreamAddress, type StreamHandlers } from './stream';

type Hear<T> = (handlers: StreamHandlers<T>) => () => void;

/**
 * @param ask for the address of the stream
 * @returns hears the stream; what that returns stops hearing. The connection lasts while anybody hears.
 */
export function shareStream<T>(ask: () => Promise<StreamAddress>): Hear<T> {
  const listeners = new Set<StreamHandlers<T>>();
  let stop: (() => void) | undefined;
  let connected = true;
  const all = (tell: (one: StreamHandlers<T>) => void) => [...listeners].forEach(tell);
  return (handlers) => {
    listeners.add(handlers);
    if (stop === undefined) {
      stop = listen<T>(ask, {
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
      if (listeners.size > 0) return;
      stop?.();
      stop = undefined;
      connected = true;
    };
  };
}
