import { isProblem } from '../problem';

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

/** Looks again now and then while there is no stream. */
class Polling {
  private timer: ReturnType<typeof setInterval> | undefined;
  private readonly look: () => void;

  constructor(look: () => void) {
    this.look = look;
  }

  start() {
    // A little apart, so that a class does not ask in step.
    this.timer ??= setInterval(this.look, pollEvery + Math.random() * 1_000);
  }

  stop() {
    clearInterval(this.timer);
    this.timer = undefined;
  }
}

/** A connection to the stream that is made again as often as it is lost. */
class Listening<T> {
  private source: EventSource | undefined;
  private retry: ReturnType<typeof setTimeout> | undefined;
  private address: { url: string; until: number } | undefined;
  private ended = false;
  private readonly polling: Polling;
  private readonly ask: () => Promise<StreamAddress>;
  private readonly handlers: StreamHandlers<T>;

  constructor(ask: () => Promise<StreamAddress>, handlers: StreamHandlers<T>) {
    this.ask = ask;
    this.handlers = handlers;
    this.polling = new Polling(handlers.onLookAgain);
  }

  async connect(): Promise<void> {
    clearTimeout(this.retry);
    this.source?.close();
    if (this.ended) return;
    const url = await this.usable();
    if (url !== null && !this.hasEnded()) this.open(url);
  }

  stop() {
    this.ended = true;
    this.source?.close();
    clearTimeout(this.retry);
    this.polling.stop();
  }

  private hasEnded() {
    return this.ended;
  }

  private lost() {
    this.handlers.onConnected?.(false);
    this.polling.start();
  }

  private again() {
    clearTimeout(this.retry);
    this.retry = setTimeout(() => void this.connect(), retryAfter + apart());
  }

  /** @returns an address to listen at; null: there is none now, it is asked for again */
  private async usable(): Promise<string | null> {
    if (this.address !== undefined && Date.now() <= this.address.until) return this.address.url;
    try {
      const fresh = await this.ask();
      this.address = { url: fresh.address, until: Date.now() + 1_000 * fresh.forSeconds };
      return this.address.url;
    } catch (problem) {
      if (this.ended) return null;
      // Who may not listen any more is told so by looking; anything else passes.
      if (isProblem(problem, 401)) this.handlers.onLookAgain();
      this.lost();
      this.again();
      return null;
    }
  }

  private open(url: string) {
    const source = (this.source = new EventSource(url));
    const { onConnected, onLookAgain } = this.handlers;
    source.onopen = () => {
      this.polling.stop();
      onConnected?.(true);
      onLookAgain();
    };
    source.onmessage = (event: MessageEvent<string>) => this.hear(source, event.data);
    source.onerror = () => {
      this.lost();
      if (source.readyState !== EventSource.CLOSED) return;
      this.address = undefined; // refused: it has run out
      this.again();
    };
  }

  private hear(source: EventSource, data: string) {
    const message = JSON.parse(data) as T | { kind: 'end' };
    if ((message as { kind: string }).kind !== 'end') {
      this.handlers.onMessage(message as T);
      return;
    }
    // The right to hear on this address has ended. Perhaps there is another one.
    this.address = undefined;
    source.close();
    this.handlers.onLookAgain();
    this.again();
  }
}

/**
 * @param ask for an address; asked again when the last one has run out, or is refused
 * @returns how to stop listening
 */
export function listen<T>(ask: () => Promise<StreamAddress>, handlers: StreamHandlers<T>): () => void {
  const listening = new Listening(ask, handlers);
  const wake = () => {
    if (document.visibilityState === 'visible') handlers.onLookAgain();
  };
  const online = () => void listening.connect();
  void listening.connect();
  document.addEventListener('visibilitychange', wake);
  window.addEventListener('online', online);
  return () => {
    listening.stop();
    document.removeEventListener('visibilitychange', wake);
    window.removeEventListener('online', online);
  };
}
