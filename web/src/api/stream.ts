/**
 * Listens to a stream of hints. The server is the truth: on every (re)connection the page is told to look again, and while
 * there is no stream it is told to look every few seconds.
 */
export interface StreamHandlers<T> {
  onMessage: (message: T) => void;
  /** Look again: something may have been missed. */
  onLookAgain: () => void;
  onConnected?: (connected: boolean) => void;
}

const pollEvery = 3_000;
const retryAfter = 2_000;

/** @returns how to stop listening */
export function listen<T>(url: string, handlers: StreamHandlers<T>): () => void {
  let source: EventSource | undefined;
  let poll: ReturnType<typeof setInterval> | undefined;
  let retry: ReturnType<typeof setTimeout> | undefined;
  let ended = false;

  const startPolling = () => {
    // A little apart, so that a class does not ask in step.
    poll ??= setInterval(handlers.onLookAgain, pollEvery + Math.random() * 1_000);
  };
  const stopPolling = () => {
    clearInterval(poll);
    poll = undefined;
  };
  const connect = () => {
    if (ended) return;
    source = new EventSource(url);
    source.onopen = () => {
      stopPolling();
      handlers.onConnected?.(true);
      handlers.onLookAgain();
    };
    source.onmessage = (event: MessageEvent<string>) => {
      handlers.onMessage(JSON.parse(event.data) as T);
    };
    source.onerror = () => {
      handlers.onConnected?.(false);
      startPolling();
      if (source?.readyState === EventSource.CLOSED) {
        clearTimeout(retry);
        retry = setTimeout(connect, retryAfter);
      }
    };
  };
  const wake = () => {
    if (document.visibilityState === 'visible') handlers.onLookAgain();
  };
  const online = () => {
    source?.close();
    clearTimeout(retry);
    connect();
  };
  connect();
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
