// Somebody who comes into a room of our own without a browser, for tests: says “in”, or why not; and “out” when it
// ends.
// node media/tests/visitor.mjs ADDRESS ROOM TOKEN
import { WebSocket } from 'ws';

const [address, room, token] = process.argv.slice(2);
const socket = new WebSocket(address.replace(/^http/, 'ws'), 'janus-protocol', { origin: new URL(address).origin });
let session = 0;
let handle = 0;
let number = 0;
const send = (message) => socket.send(JSON.stringify({ transaction: `visitor-${++number}`, ...message }));
const onHandle = (body) => send({ janus: 'message', session_id: session, handle_id: handle, body });
const say = (word) => process.stdout.write(`${word}\n`);

socket.on('open', () => send({ janus: 'create' }));
socket.on('message', (data) => {
  const message = JSON.parse(data.toString('utf8'));
  const heard = message.plugindata?.data;
  if (message.janus === 'success' && session === 0) {
    session = message.data.id;
    send({ janus: 'attach', session_id: session, plugin: 'janus.plugin.videoroom' });
    setInterval(() => send({ janus: 'keepalive', session_id: session }), 5_000);
  } else if (message.janus === 'success' && handle === 0) {
    handle = message.data.id;
    onHandle({ request: 'join', ptype: 'publisher', room, token });
  } else if (heard?.videoroom === 'joined') say('in');
  else if (heard?.error_code !== undefined) say(`refused ${heard.error_code}`);
  else if (heard?.leaving === 'ok') say('out');
});
socket.on('error', (problem) => say(`refused ${problem.message}`));
socket.on('close', () => process.exit(0));
