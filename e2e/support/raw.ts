// Requests and streams as no browser would send them.
import http from 'node:http';
import net from 'node:net';

const base = () => new URL(process.env.FH_BASE ?? 'http://127.0.0.1:8580');

/** Sends a request line as it is, which no browser would, and gives what comes back within a while. */
export function rawRequest(lines: string[], forMs = 1_500): Promise<string> {
  return new Promise((done) => {
    let got = '';
    const socket = net.connect(Number(base().port), base().hostname);
    socket.setEncoding('utf8');
    socket.on('data', (part: string) => (got += part));
    const end = () => {
      socket.destroy();
      done(got);
    };
    socket.on('error', end);
    socket.on('close', end);
    socket.write(`${lines.join('\r\n')}\r\n\r\n`);
    setTimeout(end, forMs);
  });
}

export interface Stream {
  status: number;
  headers: http.IncomingHttpHeaders;
  /** Everything heard so far. */
  text: () => string;
  /** The server has ended it. */
  closed: () => boolean;
  stop: () => void;
}

/** Listens as a program would, with what headers it likes. */
export function openStream(path: string, headers: Record<string, string> = {}): Promise<Stream> {
  return new Promise((done, fail) => {
    const request = http.request(
      new URL(path, base()),
      { headers: { Accept: 'text/event-stream', ...headers }, agent: false },
      (response) => {
        let text = '';
        let closed = false;
        response.setEncoding('utf8');
        response.on('data', (part: string) => (text += part));
        response.on('close', () => (closed = true));
        response.on('error', () => (closed = true));
        done({
          status: response.statusCode ?? 0,
          headers: response.headers,
          text: () => text,
          closed: () => closed,
          stop: () => request.destroy(),
        });
      },
    );
    request.on('error', fail);
    request.end();
  });
}
