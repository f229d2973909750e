// The gate between pages and the media server: lets through what a page needs, and nothing else.
// node media/gate.mjs SOCKET MEDIA_SERVER_PORT
// nginx sends here who has an address signed by the application. MEDIA_TOKEN_SECRET: what the media server's tokens are
// signed with.
import { chmodSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import { WebSocket, WebSocketServer } from 'ws';
import { readParticipant } from './participant.mjs';
import { plugin, Requests } from './requests.mjs';
import { sessionToken } from './token.mjs';

const [socket, port] = process.argv.slice(2);
const secret = process.env.MEDIA_TOKEN_SECRET ?? '';
if (!socket || !port || secret === '') {
  console.error('node gate.mjs SOCKET MEDIA_SERVER_PORT, with MEDIA_TOKEN_SECRET');
  process.exit(2);
}
/** A session lives for some hours; its token is sent anew with every request. Seconds. */
const tokenLasts = 300;
const longestMessage = 64_000;
/** A page, the one it is being reloaded as, and one that has not noticed yet that its line is cut. */
const mostConnections = 3;
/** Milliseconds. */
const heartbeatEvery = 4_000;
/** Requests a second, and at once. */
const pace = { each: 20, burst: 200 };
/** What waits for a media server that is slow to open, in messages. */
const longestQueue = 20;

/** Open connections by person, the oldest first. */
const connections = new Map();

const server = createServer((_, answer) => answer.writeHead(404).end());
const gate = new WebSocketServer({
  server,
  maxPayload: longestMessage,
  handleProtocols: (offered) => (offered.has('janus-protocol') ? 'janus-protocol' : false),
});

function enter(page, person) {
  const own = connections.get(person.id) ?? [];
  connections.set(person.id, [...own, page]);
  if (own.length >= mostConnections) own[0].close(4000, 'Too many connections at once.');
  page.on('close', () => {
    const left = (connections.get(person.id) ?? []).filter((one) => one !== page);
    if (left.length > 0) connections.set(person.id, left);
    else connections.delete(person.id);
  });
}

/** @returns whether one more request is in time */
function paced() {
  let left = pace.burst;
  let at = Date.now();
  return () => {
    const now = Date.now();
    left = Math.min(pace.burst, left + ((now - at) / 1_000) * pace.each);
    at = now;
    return --left >= 0;
  };
}

const read = (data) => {
  try {
    return JSON.parse(data.toString('utf8'));
  } catch {
    return null;
  }
};

gate.on('connection', (page, request) => {
  const person = readParticipant(String(request.headers['x-huddle-participant'] ?? ''));
  if (person === null) return page.close(1008, 'Nobody.');
  enter(page, person);
  const requests = new Requests(person, () => sessionToken(secret, [plugin], tokenLasts));
  const isInTime = paced();
  const waiting = [];
  // Whose line is cut says nothing: a question that isn't answered tells.
  let isAlive = true;
  page.on('pong', () => (isAlive = true));
  const heartbeat = setInterval(() => {
    if (!isAlive) return page.terminate();
    isAlive = false;
    page.ping();
  }, heartbeatEvery);
  page.on('close', () => clearInterval(heartbeat));
  const media = new WebSocket(`ws://127.0.0.1:${port}/`, 'janus-protocol', { maxPayload: 1_000_000 });

  page.on('message', (data) => {
    if (!isInTime()) return page.close(1008, 'Too many requests at once.');
    const message = read(data);
    const onward = requests.fromPage(message);
    if (onward === null) {
      page.send(
        JSON.stringify({
          janus: 'error',
          transaction: typeof message?.transaction === 'string' ? message.transaction.slice(0, 200) : '',
          error: { code: 403, reason: 'Not for pages.' },
        }),
      );
    } else if (media.readyState === WebSocket.OPEN) media.send(JSON.stringify(onward));
    else if (waiting.push(JSON.stringify(onward)) > longestQueue) page.close(1008, 'Too many requests at once.');
  });
  media.on('open', () => waiting.splice(0).forEach((message) => media.send(message)));
  media.on('message', (data) => {
    const message = read(data);
    if (message === null) return;
    requests.fromServer(message);
    if (page.readyState === WebSocket.OPEN) page.send(data.toString('utf8'));
  });
  // 1013: it may be tried again.
  media.on('close', () => page.close(1013, 'The media server is away.'));
  media.on('error', () => page.close(1013, 'The media server is away.'));
  page.on('close', () => media.terminate());
  page.on('error', () => media.terminate());
});

rmSync(socket, { force: true });
server.listen(socket, () => chmodSync(socket, 0o666));
for (const signal of ['SIGTERM', 'SIGINT']) process.on(signal, () => process.exit(0));
