import { isProblem } from './problem';

/**
 * Listens to a stream of hints. The server is the truth: on every (re)connection the page is told to look again, and
 * while there is no stream it is told to look every few seconds.
 */
export interface StreamHandlers<T> {
  onMessage: (message: T) => void;
  /** Look again: something may have been missed. */
  onLookAgain: () => void;
  onConnected?: (connected: boolean) => void;
}

/** Where this device listens, signed and good for some minutes. */
export interface StreamAddress {
  address: string;
  forSeconds: number;
}

const pollEvery = 3_000;
const retryAfter = 2_000;
/** Not all pages of a class come back at the same moment. */
const apart = () => Math.random() * 1_500;

/**
 * @param ask for an address; asked again when the last one has run out, or is refused
 * @returns how to stop listening
 */
export function listen<T>(ask: () => Promise<StreamAddress>, handlers: StreamHandlers<T>): () => void {
  let source: EventSource | undefined;
  let poll: ReturnType<typeof setInterval> | undefined;
  let retry: ReturnType<typeof setTimeout> | undefined;
  let address: { url: string; until: number } | undefined;
  let ended = false;

  const hasEnded = () => ended;
  const startPolling = () => {
    // A little apart, so that a class does not ask in step.
    poll ??= setInterval(handlers.onLookAgain, pollEvery + Math.random() * 1_000);
  };
  const stopPolling = () => {
    clearInterval(poll);
    poll = undefined;
  };
  const lost = () => {
    handlers.onConnected?.(false);
    startPolling();
  };
  const again = () => {
    clearTimeout(retry);
    retry = setTimeout(() => void connect(), retryAfter + apart());
  };
  const connect = async (): Promise<void> => {
    source?.close();
    if (ended) return;
    if (address === undefined || Date.now() > address.until) {
      try {
        const fresh = await ask();
        if (hasEnded()) return;
        address = { url: fresh.address, until: Date.now() + 1_000 * fresh.forSeconds };
      } catch (problem) {
        // Who may not listen any more is told so by looking; anything else passes.
        if (isProblem(problem, 401)) handlers.onLookAgain();
        lost();
        again();
        return;
      }
    }
    open(address.url);
  };
  const open = (url: string) => {
    const mine = (source = new EventSource(url));
    mine.onopen = () => {
      stopPolling();
      handlers.onConnected?.(true);
      handlers.onLookAgain();
    };
    mine.onmessage = (event: MessageEvent<string>) => {
      const message = JSON.parse(event.data) as T | { kind: 'end' };
      if ((message as { kind: string }).kind === 'end') {
        // The right to hear on this address has ended. Perhaps there is another one.
        address = undefined;
        mine.close();
        handlers.onLookAgain();
        again();
        return;
      }
      handlers.onMessage(message as T);
    };
    mine.onerror = () => {
      lost();
      if (mine.readyState === EventSource.CLOSED) {
        address = undefined; // refused: it has run out
        again();
      }
    };
  };
  const wake = () => {
    if (document.visibilityState === 'visible') handlers.onLookAgain();
  };
  const online = () => {
    clearTimeout(retry);
    void connect();
  };
  void connect();
  document.addEventListener('visibilitychange', wake);
  window.addEventListener('online', online);
  return () => {
    ended = true;
    source?.close();
    clearTimeout(retry);
    stopPolling();
    document.removeEventListener('visibilitychange', wake);
    window.removeEventListener('online', online);
  };
}
