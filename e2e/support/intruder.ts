// Somebody who speaks the media server's protocol by hand, through nginx and the gate, and says what no page would.
import { WebSocket } from 'ws';

export interface Answer {
  janus?: string;
  data?: { id: number };
  error?: { code: number; reason: string };
  plugindata?: { data: { videoroom?: string; error_code?: number; error?: string } };
}

/** How long something may stay unanswered; milliseconds. */
const patience = 5_000;

export class Intruder {
  session = 0;
  handle = 0;
  /** The code the line was closed with; null: it is open. */
  closed: number | null = null;
  private number = 0;
  private readonly waiting = new Map<string, (answer: Answer) => void>();

  private constructor(private readonly socket: WebSocket) {
    socket.on('message', (data: Buffer) => {
      const answer = JSON.parse(data.toString('utf8')) as Answer & { transaction?: string };
      if (answer.janus === 'ack') return;
      this.waiting.get(answer.transaction ?? '')?.(answer);
    });
    socket.on('close', (code) => {
      this.closed = code;
      for (const answer of this.waiting.values()) answer({ janus: 'closed' });
    });
    socket.on('error', () => undefined);
  }

  /** @returns the status the server refuses with, or a line */
  static async open(
    base: string,
    address: string,
    origin: string | null = new URL(base).origin,
  ): Promise<Intruder | number> {
    const url = new URL(address, base);
    url.protocol = 'ws:';
    const socket = new WebSocket(url, 'janus-protocol', origin === null ? {} : { origin });
    return new Promise((resolve) => {
      socket.on('open', () => resolve(new Intruder(socket)));
      socket.on('unexpected-response', (_, response) => {
        resolve(response.statusCode ?? 0);
        socket.terminate();
      });
      socket.on('error', () => resolve(0));
    });
  }

  /** A line that is open, with a session and a place for one room, as a page has. */
  static async inside(base: string, address: string): Promise<Intruder> {
    const line = await Intruder.open(base, address);
    if (typeof line === 'number') throw new Error(`The line was refused: ${String(line)}.`);
    line.session = (await line.ask({ janus: 'create' })).data?.id ?? 0;
    line.handle = (await line.ask({ janus: 'attach', plugin: 'janus.plugin.videoroom' })).data?.id ?? 0;
    return line;
  }

  ask(message: object): Promise<Answer> {
    const transaction = `intruder-${String(++this.number)}`;
    const session = this.session === 0 ? {} : { session_id: this.session };
    this.socket.send(JSON.stringify({ transaction, ...session, ...message }));
    return new Promise((resolve) => {
      const end = setTimeout(() => resolve({}), patience);
      this.waiting.set(transaction, (answer) => {
        clearTimeout(end);
        resolve(answer);
      });
    });
  }

  /** @param jsep a description of a connection */
  message(body: object, jsep?: object): Promise<Answer> {
    return this.ask({ janus: 'message', handle_id: this.handle, body, ...(jsep === undefined ? {} : { jsep }) });
  }

  /** @returns `in`, or why not */
  async join(room: string, token: string): Promise<string> {
    const { plugindata, error } = await this.message({ request: 'join', ptype: 'publisher', room, token });
    return plugindata?.data.videoroom === 'joined'
      ? 'in'
      : `refused ${String(plugindata?.data.error_code ?? error?.code ?? '')}`;
  }

  send(text: string): void {
    this.socket.send(text);
  }

  end(): void {
    this.socket.terminate();
  }
}
